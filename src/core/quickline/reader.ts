import type { LengthUnit } from '../measure/unit';
import type { QuickRoom } from '../room/schema';
import type { Wall } from '../room/walls';
import type { ReadItem } from './lineItems';
import { type FieldSpec, specOf } from './lineSpecs';
import { Misread, type Piece } from './quickLinePieces';

/** A room while its items are read into it. */
export type RoomDraft = { -readonly [Key in keyof QuickRoom]: QuickRoom[Key] };

/** Which item said a part of the room: paths as problems carry them, e.g. `openings[0]`. */
export type Owners = Map<string, ReadItem>;

/** What reading an item needs to know of the line. */
export interface Reader {
  readonly room: RoomDraft;
  readonly walls: readonly Wall[];
  readonly unit: LengthUnit;
  readonly owners: Owners;
  /** Walls that some opening names or took. */
  readonly taken: Set<number>;
}

/** A value that an item needs, or the refusal that names it. */
export function value({ kind, whole, values }: ReadItem, name: string): Piece {
  const found = values[name];
  if (found) return found;
  const field = specOf(kind).fields.find((candidate) => candidate.name === name);
  const said = field?.word ? `${field.word} ` : '';
  throw new Misread(`the ${field?.label.toLowerCase() ?? name} is missing: ${said}…`, whole.at, whole.length);
}

/** One of the words that a field knows. */
export function choiceOf<Choice extends string>(item: ReadItem, name: string): Choice {
  const piece = value(item, name);
  const field: FieldSpec | undefined = specOf(item.kind).fields.find((candidate) => candidate.name === name);
  const found = field?.choices?.find((candidate) => candidate.toLowerCase() === piece.text.toLowerCase());
  if (found === undefined)
    throw new Misread(
      `the ${field?.label.toLowerCase()} is ${field?.choices?.join(', ')}`,
      piece.at,
      Math.max(1, piece.length),
    );
  return found as Choice;
}

/** The number of a wall, from 0. */
export function wallFrom(piece: Piece, { walls }: Pick<Reader, 'walls'>): number {
  if (!/^[1-9]\d*$/.test(piece.text))
    throw new Misread('walls are numbered from 1', piece.at, Math.max(1, piece.length));
  if (Number(piece.text) > walls.length)
    throw new Misread(`the room has ${walls.length} walls`, piece.at, piece.length);
  return Number(piece.text) - 1;
}

export function wallsFrom(piece: Piece, reader: Pick<Reader, 'walls'>): number[] {
  return [...piece.text.matchAll(/\S+/g)].map((match) =>
    wallFrom({ text: match[0], at: piece.at + match.index, length: match[0].length }, reader),
  );
}
