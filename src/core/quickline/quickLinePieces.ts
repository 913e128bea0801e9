import { type ParseError, parseLength } from '../measure/parseLength';
import { fromMm, type LengthUnit, MM_PER_FOOT, toMm } from '../measure/unit';
import { BOUNDS, whyOutOfBounds } from '../room/checks/bounds';

/** Where in the line something stands: the first character (from 0) and how many. */
export interface Place {
  readonly at: number;
  readonly length: number;
}

/** A piece of the line without the blanks around it, which knows where it stands. */
export interface Piece extends Place {
  readonly text: string;
}

/** What would put a line right: said on a button, and the line after it. */
export interface LineMend {
  readonly label: string;
  readonly line: (line: string) => string;
}

/** Carries a refusal from the depth of the grammar up to `parseQuickLine`, which never lets it out. */
export class Misread extends Error {
  constructor(
    readonly reason: string,
    readonly at: number,
    readonly length: number,
    /** The line with this mended, where there is one way to do it. */
    readonly mend?: LineMend,
  ) {
    super(reason);
  }
}

const TIMES = /[x×]/i;

/** A piece of some text that starts at a character of the line. */
export function pieceOf(text: string, at: number): Piece {
  const lead = text.length - text.trimStart().length;
  const inner = text.trim();
  return { text: inner, at: at + (inner === '' ? 0 : lead), length: inner.length };
}

/** The pieces of a line between its commas; a name, a floor or a note in quotation marks may hold commas itself. */
export function cutAtCommas(line: string): readonly Piece[] {
  const pieces: Piece[] = [];
  let start = 0;
  for (let at = 0; at <= line.length; at += 1) {
    if (line.charAt(at) === '"' && /^\s*(?:(?:on|note)\s+)?$/i.test(line.slice(start, at))) {
      const end = line.indexOf('"', at + 1);
      if (end > 0) at = end;
    }
    if (at < line.length && line.charAt(at) !== ',') continue;
    pieces.push(pieceOf(line.slice(start, at), start));
    start = at + 1;
  }
  return pieces;
}

/** A name as the line writes it: in quotation marks where it holds a mark of the line itself. */
export const quoted = (name: string): string => (/[,:]/.test(name) ? `"${name.replaceAll('"', "'")}"` : name);

/** The name in a text that may stand in quotation marks. */
export const unquoted = (text: string): string => /^"(.*)"$/.exec(text)?.[1] ?? text;

/** The sizes of a text such as `12' x 10'`. */
export function sizesIn(text: string, start: number): readonly Piece[] {
  if (text.trim() === '') return [];
  let at = start;
  return text.split(TIMES).map((part) => {
    const piece = pieceOf(part, at);
    at += part.length + 1;
    return piece;
  });
}

/** A length in the house's unit, or the refusal under its wrong character. */
export function readLength(piece: Piece, unit: LengthUnit): number {
  const reading = parseLength(piece.text, unit);
  if (!reading.ok) throw misreadLength(piece, reading);
  const wild = reading.mm > BOUNDS.size.most ? whyOutOfBounds(fromMm(reading.mm, unit), 'size', unit) : undefined;
  if (wild) throw new Misread(wild, piece.at, piece.length);
  return fromMm(reading.mm, unit);
}

/** A length that is not zero. */
export function readPositive(piece: Piece, unit: LengthUnit): number {
  const length = readLength(piece, unit);
  if (length === 0) throw new Misread('must be greater than 0', piece.at, piece.length);
  return length;
}

/** Shorter than this no wall is written without its unit: a foot, in mm. */
const SHORTEST_BARE_MM = { in: MM_PER_FOOT, mm: 300 } as const;
const MEANT = { in: { mark: "'", word: 'feet' }, mm: { mark: ' m', word: 'metres' } } as const;

/** Whether a length carries no unit and would be shorter than a foot in the house's. */
const isBareAndShort = ({ text }: Piece, unit: LengthUnit): boolean => {
  const reading = parseLength(text, unit);
  return reading.ok && reading.mm < SHORTEST_BARE_MM[unit] && !/[a-z'"’′”″]/i.test(text);
};

/**
 * The length of a wall or the height of a room. `5 x 8` in a house of inches was hardly meant as inches: a wall under a
 * foot is asked about unless its unit is written.
 *
 * @param all the lengths written with it, which were then meant likewise
 */
export function readWallLength(piece: Piece, all: readonly Piece[], unit: LengthUnit): number {
  const length = readPositive(piece, unit);
  if (!isBareAndShort(piece, unit)) return length;
  const { mark, word } = MEANT[unit];
  const likewise = all.filter((other) => isBareAndShort(other, unit));
  throw new Misread(
    `${piece.text} alone would be ${piece.text} ${unit === 'in' ? 'inches' : 'mm'}: write ${piece.text}${mark} or ${piece.text}${unit === 'in' ? '"' : ' mm'}`,
    piece.at,
    piece.length,
    {
      label: `Read it in ${word}`,
      line: (line) =>
        [...likewise]
          .sort((a, b) => b.at - a.at)
          .reduce((text, { at, length: size }) => text.slice(0, at + size) + mark + text.slice(at + size), line),
    },
  );
}

/** A short length with the unit that says that it is meant. */
export const wallText = (length: number, unit: LengthUnit, text: string): string =>
  toMm(length, unit) < SHORTEST_BARE_MM[unit] ? `${length}${unit === 'in' ? '"' : ' mm'}` : text;

const misreadLength = (piece: Piece, { at, reason }: ParseError) =>
  new Misread(reason, piece.at + Math.min(at, Math.max(0, piece.length - 1)), 1);
