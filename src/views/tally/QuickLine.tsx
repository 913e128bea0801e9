'use client';

import { type KeyboardEvent, type RefObject, useId, useState } from 'react';
import type { LengthUnit } from '@/core/measure/unit';
import type { Completion } from '@/core/quickline/completeLine';
import type { Draft } from './useDraft';

const PLACEHOLDER: Readonly<Record<LengthUnit, string>> = {
  in: "Pantry 7'6 x 5' x 8', door 28x80 wall 2, window 24x36 @48 bead",
  mm: 'Pantry 2300 x 1500 x 2400, door 710x2030 wall 2, window 600x900 @1200 bead',
};

/**
 * One line of text that makes a room; what is wrong is marked under its character. Enter keeps the room; while
 * something is offered, Tab takes it and the arrows choose.
 */
export function QuickLine({
  draft,
  unit,
  input,
  onKeep,
  onLines,
  label,
}: {
  readonly draft: Draft;
  readonly unit: LengthUnit;
  readonly input: RefObject<HTMLTextAreaElement | null>;
  readonly onKeep: () => void;
  /** Several lines were typed or pasted; without it they become one. */
  readonly onLines?: ((lines: readonly string[]) => void) | undefined;
  /** Its name, where it is one of several. */
  readonly label?: string;
}) {
  const id = useId();
  const { line, reading } = draft;
  const [cursor, setCursor] = useState<number>();
  const [chosen, setChosen] = useState(-1);
  const fault = line.trim() !== '' && reading?.ok === false ? reading : undefined;
  const help = reading?.ok ? reading.hint : fault;
  const offers = cursor === undefined ? { from: 0, options: [] } : draft.offersAt(cursor);
  const { options } = offers;
  const active = options[chosen];

  const type = (text: string) => {
    const lines = text.split('\n').filter((each) => each.trim() !== '');
    if (onLines && lines.length > 1) onLines(lines);
    else draft.typeLine(text.replaceAll('\n', ' '));
  };
  const take = ({ text }: Completion) => {
    const at = offers.from + text.length;
    draft.typeLine(line.slice(0, offers.from) + text + line.slice(cursor ?? line.length));
    setChosen(-1);
    setCursor(at);
    requestAnimationFrame(() => {
      input.current?.focus();
      input.current?.setSelectionRange(at, at);
    });
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const first = options[0];
    if (event.key === 'Enter' && event.shiftKey && onLines) {
      event.preventDefault();
      if (line.trim() !== '') onLines([line, '']);
    } else if (event.key === 'Enter') {
      event.preventDefault();
      if (active) take(active);
      else onKeep();
    } else if (event.key === 'Escape') {
      if (options.length > 0) setCursor(undefined);
      else input.current?.blur();
    } else if (event.key === 'Tab' && !event.shiftKey && first && (active || offers.from < (cursor ?? 0))) {
      event.preventDefault();
      take(active ?? first);
    } else if ((event.key === 'ArrowDown' || event.key === 'ArrowUp') && options.length > 0) {
      event.preventDefault();
      const step = event.key === 'ArrowDown' ? 1 : -1;
      setChosen((now) => Math.max(-1, Math.min(options.length - 1, now + step)));
    }
  };

  return (
    <div className="print:hidden">
      <label htmlFor={id} className="sr-only">
        {label ?? 'Quick line'}
      </label>
      <div className="flex items-center gap-2 rounded-xl border-2 border-primary bg-sheet px-3">
        {label === undefined && (
          <span className="kbd kbd-sm" aria-hidden="true">
            /
          </span>
        )}
        <div className="relative min-w-0 flex-1 py-2.5 font-mono text-[0.95rem] leading-6">
          <textarea
            ref={input}
            id={id}
            data-length
            value={line}
            rows={Math.max(1, Math.ceil(line.length / 70))}
            onChange={({ target }) => {
              type(target.value);
              setCursor(target.selectionStart);
              setChosen(-1);
            }}
            onBlur={() => setCursor(undefined)}
            onKeyDown={onKeyDown}
            placeholder={PLACEHOLDER[unit]}
            className="relative block field-sizing-content min-h-6 w-full resize-none overflow-hidden bg-transparent break-words whitespace-pre-wrap outline-none placeholder:text-muted"
            aria-haspopup="listbox"
            aria-controls={`${id}-offers`}
            aria-autocomplete="list"
            aria-activedescendant={active ? `${id}-offer-${chosen}` : undefined}
            aria-invalid={fault ? true : undefined}
            aria-describedby={`${id}-fault`}
            autoComplete="off"
            spellCheck={false}
          />
          {fault && (
            <span
              aria-hidden="true"
              className="pointer-events-none absolute inset-x-0 top-2.5 break-words whitespace-pre-wrap"
            >
              <span className="invisible">{line.slice(0, fault.at)}</span>
              <span className="border-b-[3px] border-error">
                <span className="invisible">{line.slice(fault.at, fault.at + fault.length).padEnd(1)}</span>
              </span>
            </span>
          )}
        </div>
      </div>
      {/* One row of one height, so that nothing below moves while somebody reaches for it. */}
      <div className="flex min-h-11 items-center gap-2 px-1 text-sm">
        <p id={`${id}-fault`} role="status" className={`first-letter:uppercase ${fault ? 'text-error' : 'text-muted'}`}>
          {help?.reason}
        </p>
        {help?.mend && (
          <button type="button" className="btn btn-sm" onClick={() => type(help.mend?.line(line) ?? line)}>
            {help.mend.label}
          </button>
        )}
        <div
          id={`${id}-offers`}
          role="listbox"
          tabIndex={-1}
          aria-label="What may come next"
          className="flex min-w-0 flex-1 gap-1 overflow-hidden"
        >
          {options.map((option, index) => (
            // biome-ignore lint/a11y/useKeyWithClickEvents: the line itself chooses by Tab, arrows and Enter
            <div
              key={option.text}
              id={`${id}-offer-${index}`}
              role="option"
              tabIndex={-1}
              aria-selected={index === chosen}
              title={option.hint}
              className={`cursor-pointer rounded-lg border px-2.5 py-1 font-mono text-sm ${index === chosen ? 'border-primary bg-primary text-primary-content' : 'border-base-300 hover:bg-base-200'}`}
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => take(option)}
            >
              {option.text.trim()}
            </div>
          ))}
        </div>
      </div>
    </div>
  );
}
