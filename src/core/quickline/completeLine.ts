import type { LengthUnit } from '../measure/unit';
import { exampleOf, type FieldSpec, ITEM_SPECS, type ItemSpec } from './lineSpecs';
import { cutAtCommas } from './quickLinePieces';

/** What may come next in the line: the text that replaces what stands between `from` and the cursor. */
export interface Completion {
  readonly text: string;
  readonly hint: string;
}
export interface Completions {
  readonly from: number;
  readonly options: readonly Completion[];
}

const MOST = 8;

/**
 * What the quick line offers at the cursor: the words of items after a comma, then the words and choices of the item
 * that is being written.
 *
 * @example completionsAt("Pantry 7' x 5', so", 18, 'in').options[0]  // { text: 'soffit ', hint: "soffit 24x12 wall 1 …" }
 */
export function completionsAt(line: string, cursor: number, unit: LengthUnit): Completions {
  const nothing = { from: cursor, options: [] };
  const upTo = line.slice(0, cursor);
  const piece = cutAtCommas(upTo).at(-1);
  if (!piece || !upTo.includes(',')) return nothing;
  const start = piece.text === '' ? cursor : piece.at;
  const written = upTo.slice(start);
  const partial = /[A-Za-z]*$/.exec(upTo)?.[0].toLowerCase() ?? '';
  const from = cursor - partial.length;
  const [first = ''] = written.split(/[^A-Za-z]/);
  if (from <= start) return { from, options: itemsLike(partial, unit) };
  const spec = ITEM_SPECS.find(({ words }) => words.includes(first.toLowerCase()));
  if (!spec) return nothing;
  // Between a number and the next word stands a space; a length in the making is not interrupted.
  if (partial === '' && !/\s$/.test(upTo)) return nothing;
  return { from, options: optionsOf(spec, written.slice(first.length), partial) };
}

function itemsLike(partial: string, unit: LengthUnit): readonly Completion[] {
  const found = ITEM_SPECS.filter(({ words }) => words.some((word) => word.startsWith(partial)));
  return found.slice(0, partial === '' ? MOST : found.length).map((spec) => ({
    text: `${spec.words[0] ?? ''} `,
    hint: exampleOf(spec, unit),
  }));
}

function optionsOf(spec: ItemSpec, said: string, partial: string): readonly Completion[] {
  const before = said.slice(0, said.length - partial.length);
  return spec.fields
    .flatMap((field): readonly Completion[] => {
      if (field.type === 'choice') return before.trim() === '' ? choicesOf(field, '') : [];
      if (field.type === 'bare') {
        const known = field.choices?.some((choice) => new RegExp(`\\b${choice}\\b`, 'i').test(before));
        return known ? [] : choicesOf(field, field.label);
      }
      if (!field.word || before.trim() === '') return [];
      const known = field.word === '@' ? before.includes('@') : new RegExp(`\\b${field.word}\\b`, 'i').test(before);
      return known ? [] : [{ text: field.word === '@' ? '@' : `${field.word} `, hint: field.label }];
    })
    .filter(({ text }) => text.toLowerCase().startsWith(partial))
    .slice(0, MOST);
}

const choicesOf = ({ choices = [], label }: FieldSpec, hint: string): readonly Completion[] =>
  choices.map((choice) => ({ text: choice, hint: hint === '' ? label : hint }));
