import type { LengthUnit } from '../measure/unit';
import { checkOutline } from '../room/checks/checkOutline';
import { checkRoom } from '../room/checks/checkRoom';
import { keepIds } from '../room/keepIds';
import { renumberWalls } from '../room/renumberWalls';
import type { QuickRoom, RoomDefaults } from '../room/schema';
import { turnedOutline } from '../room/turnedOutline';
import { isClockwise, wallsOf } from '../room/walls';
import { applyItems } from './applyItems';
import { type ReadItem, readItem } from './lineItems';
import {
  cutAtCommas,
  type LineMend,
  Misread,
  type Piece,
  type Place,
  pieceOf,
  readWallLength,
  sizesIn,
} from './quickLinePieces';
import type { Owners, RoomDraft } from './reader';
import { splitHead } from './splitHead';
import { hintForItem, hintForName, type LineHint } from './triedWords';
import { readWalk } from './walk';

export type QuickLineResult =
  | { readonly ok: true; readonly room: QuickRoom; readonly hint?: LineHint }
  | ({ readonly ok: false; readonly reason: string; readonly mend: LineMend | undefined } & Place);

const LONGEST_LINE = 4000;
const USUAL_HEIGHT = { in: 96, mm: 2400 } as const;

/**
 * Reads one line of text as a room: its name, its sizes or a walk along its walls, then items between commas, see
 * `ITEM_SPECS`.
 *
 *     NAME [:] LENGTH x WIDTH [x HEIGHT] {, ITEM}
 *     NAME [:] r LENGTH d LENGTH l LENGTH … [spread] {, ITEM}
 *
 * Walls count from 1; wall 1 is LENGTH long, or the first wall walked. A walk may go either way round. An opening
 * without a wall takes the next wall that has none, in its middle.
 *
 * @param before the room that the line said until now: what is still there keeps its ids
 * @example parseQuickLine(`Pantry 7'6 x 5' x 8', door 28x80 wall 2`, { unit: 'in', hang: {} })
 * @example parseQuickLine('Pantry 7 q 5', …)  // { ok: false, at: 9, length: 1, reason: … }
 */
export function parseQuickLine(line: string, house: RoomDefaults, before?: QuickRoom): QuickLineResult {
  try {
    if (line.length > LONGEST_LINE)
      throw new Misread(`a line has at most ${LONGEST_LINE.toLocaleString('en-US')} characters`, LONGEST_LINE, 1);
    const [head = pieceOf('', 0), ...pieces] = cutAtCommas(line);
    const room = readHead(head, house.unit);
    // A comma at the end is an item to come.
    const items = pieces
      .filter(({ text }, index) => text !== '' || index < pieces.length - 1)
      .map((piece) => readItemOr(piece, head, house.unit));
    const walls = wallsOf(room.outline, house.unit);
    const owners = applyItems(items, room, walls, house.unit);
    const turned = turnedRight(room, walls.length);
    // What is wrong with the outline is said first.
    const known = before && checkOutline(turned.outline, house.unit).length === 0;
    const kept = known ? keepIds(before, turned, house.unit) : turned;
    const problem = checkRoom({ ...kept, id: 'new' }, house)[0];
    const hint = problem ? undefined : hintForName(kept, head, house.unit);
    if (!problem) return { ok: true, room: kept, ...(hint && { hint }) };
    const place = placeOf(problem.path, owners) ?? head;
    return { ok: false, reason: problem.reason, at: place.at, length: Math.max(1, place.length), mend: undefined };
  } catch (error) {
    if (error instanceof Misread)
      return { ok: false, reason: error.reason, at: error.at, length: Math.max(1, error.length), mend: error.mend };
    throw error;
  }
}

/** Reads an item; where its word is not known, but often tried, the refusal says how it is typed. */
function readItemOr(piece: Piece, head: Piece, unit: LengthUnit): ReadItem {
  try {
    return readItem(piece);
  } catch (error) {
    const hint = error instanceof Misread ? hintForItem(piece, head, unit) : undefined;
    throw hint ? new Misread(hint.reason, piece.at, Math.max(1, piece.length), hint.mend) : error;
  }
}

/** A walk the other way round is the same room; its first wall stays wall 1. */
function turnedRight(room: RoomDraft, count: number): QuickRoom {
  if (isClockwise(room.outline)) return room;
  const turned = { ...room, id: 'new', outline: turnedOutline(room.outline) };
  const { id: _id, at: _at, ...rest } = renumberWalls(turned, (wall) => (count - wall) % count);
  return rest;
}

/** Where the line says what a problem is about: the value, or else its whole item. */
function placeOf(path: string, owners: Owners): Place | undefined {
  let found: ReadItem | undefined;
  for (const [prefix, item] of owners) if (path === prefix || path.startsWith(`${prefix}.`)) found = item;
  if (!found) return undefined;
  const field = /\.(\w+)(?:\[\d+\])?$/.exec(path)?.[1] ?? '';
  return found.values[field] ?? found.whole;
}

function readHead(head: Piece, unit: LengthUnit): RoomDraft {
  const { name, rest } = splitHead(head, unit);
  if (name === '') throw new Misread('a room starts with its name', head.at, 1);
  const plain = { name, floor: 'Ground floor', ceiling: { shape: 'flat' as const }, openings: [] };
  if (/^[rldu]{1,2}(?=[\s\d]|$)/i.test(rest.text))
    return { ...plain, outline: readWalk(rest, unit).outline, height: USUAL_HEIGHT[unit] };
  const sizes = sizesIn(rest.text, rest.at);
  const [length, width, height] = sizes.map((size) => readWallLength(size, sizes, unit));
  if (length === undefined || width === undefined)
    throw new Misread('length x width is missing after the name', head.at + head.length, 1);
  if (sizes.length > 3)
    throw new Misread(
      'a room has three sizes: length x width x height',
      sizes[3]?.at ?? head.at,
      sizes[3]?.length ?? 1,
    );
  return {
    ...plain,
    outline: [
      [0, 0],
      [length, 0],
      [length, width],
      [0, width],
    ],
    height: height ?? USUAL_HEIGHT[unit],
  };
}
