import { parseLength } from '../measure/parseLength';
import type { LengthUnit } from '../measure/unit';
import { Misread, type Piece, pieceOf, readPositive, sizesIn, unquoted } from './quickLinePieces';
import { isWalk } from './walk';

/** The head of a line: the room's name, and its sizes or its walk. */
export interface Head {
  readonly name: string;
  readonly rest: Piece;
}

/** Sizes are looked for where a name may end. */
const LONGEST_NAME = 90;
/** Words of `12' 4 1/2" x 10' 6" x 8'`, and a few more. */
const MOST_WORDS = 16;

/**
 * The name ends at a colon, or where the words first read as sizes or as a walk. A size is never part of a name: what
 * cannot be read is refused where it stands, and words after the sizes want a comma before them.
 */
export function splitHead(head: Piece, unit: LengthUnit): Head {
  const quote = /^"[^"]*"/.exec(head.text)?.[0];
  const colon = head.text.indexOf(':', quote?.length ?? 0);
  const cutAt = (index: number, skip: number): Head => ({
    name: unquoted(head.text.slice(0, index).trim()).trim(),
    rest: pieceOf(head.text.slice(index + skip), head.at + index + skip),
  });
  if (colon >= 0) return withoutItems(cutAt(colon, 1), unit);
  if (quote) return withoutItems(cutAt(quote.length, 0), unit);
  const starts = [...head.text.matchAll(/(?<=^|\s)\S/g)].map(({ index }) => index).filter((at) => at <= LONGEST_NAME);
  const start =
    starts.find((at) => isWalk(head.text.slice(at), unit) || sizesAtStart(head.text.slice(at), unit) > 0) ??
    starts.find((at) => at > 0 && /\d/.test(head.text.charAt(at)));
  if (start === undefined)
    return refuseSizesIn({ name: head.text, rest: pieceOf('', head.at + head.length) }, head, unit);
  return withoutItems(refuseSizesIn(cutAt(start, 0), head, unit), unit);
}

/** How many characters of a text read as two sizes or more; 0 when its first words do not. */
function sizesAtStart(text: string, unit: LengthUnit): number {
  const ends = [...text.matchAll(/\S+/g)].map((word) => word.index + word[0].length).slice(0, MOST_WORDS);
  const reads = (end: number) => {
    const sizes = sizesIn(text.slice(0, end), 0);
    return sizes.length > 1 && sizes.every((size) => parseLength(size.text, unit).ok);
  };
  return ends.findLast(reads) ?? 0;
}

/** How many characters of a text are a walk before the word of an item; 0 when it is none. */
function walkAtStart(text: string, unit: LengthUnit): number {
  const words = [...text.matchAll(/(?<=\s)(?!spread\b)[a-z]{3,}/gi)];
  return words.find(({ index }) => isWalk(text.slice(0, index).trimEnd(), unit))?.index ?? 0;
}

/** Refuses what follows the sizes without a comma. */
function withoutItems(head: Head, unit: LengthUnit): Head {
  const { rest } = head;
  const end = walkAtStart(rest.text, unit) || sizesAtStart(rest.text, unit);
  const more = pieceOf(rest.text.slice(end), rest.at + end);
  if (end === 0 || more.text === '') return head;
  const word = /^\S+/.exec(more.text)?.[0] ?? more.text;
  throw new Misread(`a comma is missing before "${word}"`, more.at, word.length, {
    label: `Put a comma before "${word}"`,
    line: (line) => `${line.slice(0, rest.at + end).trimEnd()}, ${line.slice(more.at)}`,
  });
}

/** Refuses a name that holds what was meant as a size: at the character that cannot be read, where there is one. */
function refuseSizesIn(split: Head, head: Piece, unit: LengthUnit): Head {
  const { name } = split;
  // `NaN x 5' x 8'`: the word before the first sign of times was no length.
  const before = /(\S+)\s+[x×]$/.exec(name);
  const within = /(?<=^|\s)\S*\d\S*\s*[x×]\s*[-+.\d]/.exec(name);
  const found = before ?? within;
  if (!found) return split;
  const text = before ? (before[1] ?? '') : name.slice(found.index);
  const at = head.at + head.text.indexOf(name) + found.index;
  for (const size of sizesIn(text, at)) readPositive(size, unit);
  throw new Misread(
    'these sizes are not read: is a comma missing, or do they belong to the name, in quotation marks?',
    at,
    Math.max(1, text.trimEnd().length),
  );
}
