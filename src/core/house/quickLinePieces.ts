import { type LengthRefusal, parseLength } from '../measure/parseLength';
import { fromMm, type LengthUnit } from '../measure/unit';

/** Where in the line something stands: the first character (from 0) and how many. */
export interface Place {
  readonly at: number;
  readonly length: number;
}

/** A piece of the line without the blanks around it, which knows where it stands. */
export interface Piece extends Place {
  readonly text: string;
}

/** Carries a refusal from the depth of the grammar up to `parseQuickLine`, which never lets it out. */
export class Misread extends Error {
  constructor(
    readonly reason: string,
    readonly at: number,
    readonly length: number,
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

/** The pieces of a line between its commas. */
export const cutAtCommas = (line: string): readonly Piece[] => cut(line, ',', 0);

/** The sizes of a text such as `12' x 10'`. */
export const sizesIn = (text: string, at: number): readonly Piece[] => (text.trim() === '' ? [] : cut(text, TIMES, at));

function cut(text: string, separator: string | RegExp, start: number): readonly Piece[] {
  let at = start;
  return text.split(separator).map((part) => {
    const piece = pieceOf(part, at);
    at += part.length + 1;
    return piece;
  });
}

/** A length in the house's unit, or the refusal under its wrong character. */
export function readLength(piece: Piece, unit: LengthUnit): number {
  const reading = parseLength(piece.text, unit);
  if (!reading.ok) throw misreadLength(piece, reading);
  return fromMm(reading.mm, unit);
}

/** A length that is not zero. */
export function readPositive(piece: Piece, unit: LengthUnit): number {
  const length = readLength(piece, unit);
  if (length === 0) throw new Misread('must be greater than 0', piece.at, piece.length);
  return length;
}

const misreadLength = (piece: Piece, { at, reason }: LengthRefusal) =>
  new Misread(reason, piece.at + Math.min(at, Math.max(0, piece.length - 1)), 1);
