import { formatLength } from '@/core/measure/formatLength';
import { type LengthUnit, MM_PER_INCH } from '@/core/measure/unit';

/** The field for a length that somebody is in; those that take a reading are marked with `data-length`. */
export function focusedLengthField(): HTMLInputElement | HTMLTextAreaElement | undefined {
  const field = document.activeElement;
  const isField = field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement;
  return isField && field.dataset.length !== undefined && !field.readOnly && !field.disabled ? field : undefined;
}

/** A reading as one would type it, to the sixteenth of an inch or the millimetre. */
export const typedReading = (mm: number, unit: LengthUnit): string =>
  unit === 'mm'
    ? String(Math.round(mm))
    : formatLength((Math.round((mm / MM_PER_INCH) * 16) / 16) * MM_PER_INCH, unit).replace(/["″]$/, '');

/** Writes into a field where its caret is, or over what is chosen in it, as if it were typed. */
export function typeInto(field: HTMLInputElement | HTMLTextAreaElement, text: string): void {
  const [from, to] = [field.selectionStart ?? field.value.length, field.selectionEnd ?? field.value.length];
  field.setRangeText(text, from, to, 'end');
  field.dispatchEvent(new Event('input', { bubbles: true }));
}
