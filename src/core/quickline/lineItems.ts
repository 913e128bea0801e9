import { type FieldSpec, ITEM_SPECS, type ItemKind, type ItemSpec, specOf } from './lineSpecs';
import { Misread, type Piece, pieceOf, sizesIn } from './quickLinePieces';

/** An item of the line as it was read: its values by field, each with its place. */
export interface ReadItem {
  readonly kind: ItemKind;
  readonly whole: Piece;
  readonly values: Readonly<Record<string, Piece>>;
}

/** An item as plain texts: what a form shows of it, and what a line is written from. */
export interface LineItem {
  readonly kind: ItemKind;
  readonly values: Readonly<Record<string, string>>;
}

/** Takes one piece of the line between two commas apart into the values of its item. */
export function readItem(whole: Piece): ReadItem {
  const word = /^[A-Za-z]+/.exec(whole.text)?.[0] ?? '';
  const spec = ITEM_SPECS.find(({ words }) => words.includes(word.toLowerCase()));
  if (!spec) {
    const said = /^\S+/.exec(whole.text)?.[0] ?? '';
    const near = nearestWord(said);
    const hint = near ? `; did you mean "${near}"?` : '; doors, windows, soffits and the rest are on the key (?)';
    throw new Misread(
      said === '' ? 'an item is missing between the commas' : `"${said}" is not known here${hint}`,
      whole.at,
      Math.max(1, said.length),
    );
  }
  const rest = pieceOf(whole.text.slice(word.length), whole.at + word.length);
  const marks = wordsIn(rest, spec);
  const lead = pieceOf(rest.text.slice(0, marks[0]?.from ?? rest.text.length), rest.at);
  const values: Record<string, Piece> = leadingValues(lead, spec, whole);
  marks.forEach(({ field, from, to }, index) => {
    const value = pieceOf(rest.text.slice(to, marks[index + 1]?.from ?? rest.text.length), rest.at + to);
    if (field.type === 'bare') {
      // What follows a bare word belongs to the field that takes free text, if there is one.
      const text = spec.fields.find((other) => other.type === 'text' && !other.word && !values[other.name]);
      if (value.text !== '' && text) values[text.name] = value;
      else if (value.text !== '') throw new Misread(`"${value.text}" is not known here`, value.at, value.length);
      values[field.name] = { text: rest.text.slice(from, to), at: rest.at + from, length: to - from };
      return;
    }
    if (value.text === '') throw new Misread(`a value is missing after "${field.word}"`, rest.at + from, to - from);
    values[field.name] = value;
  });
  return { kind: spec.kind, whole, values };
}

/** The item's word that begins as typed, or differs from it by the fewest letters, two at most. */
function nearestWord(said: string): string | undefined {
  const words = ITEM_SPECS.flatMap((spec) => spec.words).filter((word) => word.length > 2);
  const begun = words.find((word) => said !== '' && word.startsWith(said.toLowerCase()));
  if (begun) return begun;
  const ranked = words
    .map((word) => ({ word, letters: lettersApart(said.toLowerCase(), word) }))
    .sort((a, b) => a.letters - b.letters);
  const [best] = ranked;
  return best && best.letters <= 2 && best.letters < said.length ? best.word : undefined;
}

/** How many letters must be put in, taken out or changed to make one word of another. */
function lettersApart(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, index) => index);
  for (let i = 1; i <= a.length; i += 1) {
    const next = [i];
    for (let j = 1; j <= b.length; j += 1) {
      const change = (row[j - 1] ?? 0) + (a[i - 1] === b[j - 1] ? 0 : 1);
      next.push(Math.min(change, (row[j] ?? 0) + 1, (next[j - 1] ?? 0) + 1));
    }
    row = next;
  }
  return row[b.length] ?? 0;
}

interface Mark {
  readonly field: FieldSpec;
  readonly from: number;
  readonly to: number;
}

/** Where the words of an item's fields stand in its text. */
function wordsIn(rest: Piece, spec: ItemSpec): readonly Mark[] {
  const marks: Mark[] = [];
  for (const field of spec.fields) {
    const words =
      field.type === 'bare' ? (field.choices ?? []) : field.word ? [field.word, ...aliasesOf(field.word)] : [];
    for (const word of words) {
      const pattern = word === '@' ? /@/g : new RegExp(`(?<![\\w~.])${word}(?![\\w~.])`, 'gi');
      for (const match of rest.text.matchAll(pattern))
        marks.push({ field, from: match.index, to: match.index + match[0].length });
    }
  }
  return marks
    .sort((a, b) => a.from - b.from)
    .filter(({ field, from }, index, all) => {
      const first = all.findIndex((other) => other.field === field);
      // In free text such as "48 at 9'" words of other fields mean nothing new.
      if (spec.kind === 'hung' && field.type !== 'bare') return false;
      if (first < index && field.type === 'bare' && spec.kind !== 'hung')
        throw new Misread(`the ${field.label.toLowerCase()} is said twice`, rest.at + from, 1);
      return first === index;
    });
}

const aliasesOf = (word: string): readonly string[] => (word === '@' ? ['sill'] : []);

/** The values that stand right after an item's word: sizes parted by x, or one text. */
function leadingValues(lead: Piece, spec: ItemSpec, whole: Piece): Record<string, Piece> {
  const fields = spec.fields.filter(({ word, type }) => !word && type !== 'bare');
  const [only] = fields;
  const optional = fields.every((field) => field.optional);
  if (lead.text === '') {
    if (!only || optional || spec.kind === 'hung') return {};
    throw new Misread(needs(spec), whole.at, whole.length);
  }
  if (!only) throw new Misread(`"${lead.text}" is not known here`, lead.at, lead.length);
  if (only.type !== 'length') return { [only.name]: lead };
  const parts = sizesIn(lead.text, lead.at);
  const extra = parts[fields.length];
  if (extra) throw new Misread(needs(spec), extra.at, Math.max(1, extra.length));
  if (parts.length < fields.length) throw new Misread(needs(spec), lead.at, lead.length);
  return Object.fromEntries(fields.flatMap(({ name }, index) => (parts[index] ? [[name, parts[index]]] : [])));
}

function needs(spec: ItemSpec): string {
  const names = spec.fields
    .filter(({ word, type }) => !word && type !== 'bare')
    .map(({ label }) => label.toLowerCase())
    .join(' x ');
  return `a ${spec.label.toLowerCase()} needs its ${names}`;
}

/** Where a value of an item stands in a written line. */
export interface WrittenValue {
  readonly item: number;
  readonly field: string;
  readonly from: number;
  readonly to: number;
}

/** Writes a line from its head and items, and tells where each value came to stand. */
export function writeLine(
  head: string,
  items: readonly LineItem[],
): { readonly line: string; readonly values: readonly WrittenValue[] } {
  const values: WrittenValue[] = [];
  let line = head;
  items.forEach((item, index) => {
    line += ', ';
    const start = line.length;
    const { text, places } = writeItem(item);
    line += text;
    for (const { field, from, to } of places) values.push({ item: index, field, from: start + from, to: start + to });
  });
  return { line, values };
}

function writeItem({ kind, values }: LineItem): {
  readonly text: string;
  readonly places: readonly { readonly field: string; readonly from: number; readonly to: number }[];
} {
  const spec = specOf(kind);
  const places: { field: string; from: number; to: number }[] = [];
  let text = spec.words[0] ?? kind;
  let sizes = 0;
  for (const { name, word, type } of spec.fields) {
    const value = (values[name] ?? '').trim();
    if (value === '') continue;
    const isSize = !word && type === 'length';
    text += isSize && sizes > 0 ? 'x' : ' ';
    if (isSize) sizes += 1;
    if (word) text += word === '@' ? '@' : `${word} `;
    places.push({ field: name, from: text.length, to: text.length + value.length });
    text += value;
  }
  return { text, places };
}
