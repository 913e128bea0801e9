declare global {
  interface Window {
    /** Tells that the page as a whole has its script. */
    oakLive?: (() => void) | undefined;
  }
}

/**
 * Keeps what is pressed and typed while the script of a page, or of a part of it, is still on its way: on a phone with a poor
 * signal that takes seconds, and nothing that somebody did in them may come to nothing. Of presses the last one counts, once.
 *
 * It stands in the page as text and runs before everything else, so it takes nothing from outside itself.
 */
export function keepEarly(): void {
  type Field = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;
  const AGAIN_MS = 50;
  let hasScript = false;
  let pressed: { readonly at: Element; readonly again: () => void } | undefined;
  /** What was typed: a page that is drawn anew before it heard of it shows what it knows, and the field has lost it by then. */
  const typed = new Map<Field, string>();
  let waits = false;

  const isField = (target: EventTarget | null): target is Field =>
    target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement;
  const isBox = (element: Element): element is HTMLInputElement =>
    element instanceof HTMLInputElement && (element.type === 'checkbox' || element.type === 'radio');
  /** The framework marks each element that it has taken over; parts of a page come later than the whole. */
  const isLive = (element: Element): boolean =>
    hasScript && Object.keys(element).some((key) => key.startsWith('__reactProps$'));

  const keep = (at: Element, again: () => void): void => {
    pressed = { at, again };
    giveLater();
  };
  const onClick = (event: Event): void => {
    const at = event.target instanceof Element ? event.target.closest<HTMLElement>('button, input') : null;
    if (!at || !(at instanceof HTMLButtonElement || isBox(at)) || isLive(at)) return;
    event.stopImmediatePropagation();
    if (isBox(at)) {
      // It has changed already, and shows it.
      const wanted = at.checked;
      keep(at, () => {
        at.checked = !wanted;
        at.click();
      });
    } else {
      event.preventDefault();
      keep(at, () => at.click());
    }
  };
  const onSubmit = (event: Event): void => {
    const { target: form } = event;
    if (!(form instanceof HTMLFormElement) || isLive(form)) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    keep(form, () => form.requestSubmit());
  };
  const onKey = (event: KeyboardEvent): void => {
    const { key, target } = event;
    const isForPage = target instanceof Element && !isField(target) && !target.closest('button, a, summary');
    if (hasScript || !isForPage || event.ctrlKey || event.metaKey || event.altKey) return;
    keep(document.body, () => document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true })));
  };
  const onInput = (event: Event): void => {
    const { target } = event;
    if (!isField(target) || isBox(target)) return;
    if (isLive(target)) {
      typed.delete(target);
      return;
    }
    event.stopImmediatePropagation();
    typed.set(target, target.value);
    giveLater();
  };

  /** A text area that the framework takes over is told the text that it has, which would move the cursor to its beginning. */
  const keepCursors = (): void => {
    const { prototype } = HTMLTextAreaElement;
    const own = Object.getOwnPropertyDescriptor(prototype, 'defaultValue');
    const setText = own?.set;
    if (!setText) return;
    Object.defineProperty(prototype, 'defaultValue', {
      ...own,
      set(this: HTMLTextAreaElement, text: string) {
        if (this.defaultValue !== text) setText.call(this, text);
      },
    });
  };

  /** Says a value as if it were typed now: what the page remembers of the field has to differ for it to hear of it. */
  const say = (field: Field, value: string): void => {
    const isChosen = field instanceof HTMLSelectElement || field.type === 'file';
    if (field instanceof HTMLSelectElement) field.value = value;
    else if (!isChosen) {
      field.value = value === '' ? '0' : '';
      Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), 'value')?.set?.call(field, value);
    }
    field.dispatchEvent(new Event(isChosen ? 'change' : 'input', { bubbles: true }));
  };
  const sayTyped = (): void => {
    for (const [field, value] of typed) {
      if (field.isConnected && !isLive(field)) continue;
      typed.delete(field);
      if (field.isConnected) say(field, value);
    }
  };

  /** Once the script has nothing else to do: what it has taken over it also listens to by then. */
  const giveLater = (): void => {
    if (waits) return;
    waits = true;
    setTimeout(() => {
      waits = false;
      if (!hasScript || !window.requestIdleCallback) give();
      else window.requestIdleCallback(give, { timeout: 1000 });
    }, AGAIN_MS);
  };
  const give = (): void => {
    sayTyped();
    // What is pressed counts with what was typed before it.
    if (pressed && !pressed.at.isConnected) pressed = undefined;
    if (pressed && typed.size === 0 && isLive(pressed.at)) {
      const { again } = pressed;
      pressed = undefined;
      again();
    }
    if (pressed || typed.size > 0) giveLater();
  };

  document.addEventListener('click', onClick, true);
  document.addEventListener('submit', onSubmit, true);
  document.addEventListener('keydown', onKey, true);
  keepCursors();
  for (const kind of ['input', 'change']) document.addEventListener(kind, onInput, true);
  window.oakLive = () => {
    hasScript = true;
    sayTyped();
  };
}
