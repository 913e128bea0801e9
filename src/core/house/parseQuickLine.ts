import { formatLength } from '../measure/formatLength';
import { parseLength } from '../measure/parseLength';
import { fromMm, type LengthUnit, toMm } from '../measure/unit';
import { checkRoom } from './checkRoom';
import { LEVELS } from './level';
import {
  cutAtCommas,
  Misread,
  type Piece,
  type Place,
  pieceOf,
  readLength,
  readPositive,
  sizesIn,
} from './quickLinePieces';
import type { HouseHead, Opening, Room } from './schema';
import { wallsOf } from './walls';

/** A room as the line describes it; the id and the place on the plan are not the line's to say. */
export type QuickRoom = Omit<Room, 'id' | 'at'>;
export type QuickReading =
  | { readonly ok: true; readonly room: QuickRoom }
  | ({ readonly ok: false; readonly reason: string } & Place);

type Draft = { -readonly [Key in keyof QuickRoom]: QuickRoom[Key] };

const OPENING_WORDS = /@|\b(?:sill|wall|at|depth|casing|bead|open)\b/gi;
/** Heads line up with a door's at 80 in, where no sill is written: common practice, no source. */
const HEAD_LINE = { in: 80, mm: 2032 } as const;
const USUAL_HEIGHT = { in: 96, mm: 2400 } as const;

/**
 * Reads one line of text as a rectangular room.
 *
 *     NAME [:] LENGTH x WIDTH [x HEIGHT] {, door | window | opening SIZE [@SILL] [wall N] [at FROM-LEFT] [casing | bead | open] [depth D]}
 *       {, level N} {, on FLOOR} {, ceiling flat | open | along | across | auto} {, walls across | upright}
 *
 * Walls count from 1; wall 1 is LENGTH long. An opening without a wall takes the next wall that has none, in its middle.
 *
 * @example parseQuickLine(`Pantry 7'6 x 5' x 8', door 28x80 wall 2`, { unit: 'in', hang: {} })
 * @example parseQuickLine('Pantry 7 q 5', …)  // { ok: false, at: 9, length: 1, reason: … }
 */
export function parseQuickLine(line: string, house: Pick<HouseHead, 'unit' | 'hang'>): QuickReading {
  try {
    const [head, ...items] = cutAtCommas(line);
    const room = readHead(head ?? { text: '', at: 0, length: 0 }, house.unit);
    // A default place depends on the walls that are named anywhere in the line, so those come first.
    const openings = items.map((item) => ({ item, opening: readItem(item, room, house.unit) }));
    room.openings = placeOpenings(openings, room, house.unit);
    const problem = checkRoom({ ...room, id: 'new' }, house)[0];
    if (!problem) return { ok: true, room };
    const index = /^openings\[(\d+)\]/.exec(problem.path)?.[1];
    const culprit = index === undefined ? head : openings.filter(({ opening }) => opening)[Number(index)]?.item;
    return { ok: false, reason: problem.reason, at: culprit?.at ?? 0, length: culprit?.length ?? line.length };
  } catch (error) {
    if (error instanceof Misread)
      return { ok: false, reason: error.reason, at: error.at, length: Math.max(1, error.length) };
    throw error;
  }
}

function readHead(head: Piece, unit: LengthUnit): Draft {
  const { name, sizes } = splitHead(head, unit);
  if (name === '') throw new Misread('a room starts with its name', head.at, 1);
  const [length, width, height] = sizes.map((size) => readPositive(size, unit));
  if (length === undefined || width === undefined)
    throw new Misread('length x width is missing after the name', head.at + head.length, 1);
  if (sizes.length > 3)
    throw new Misread(
      'a room has three sizes: length x width x height',
      sizes[3]?.at ?? head.at,
      sizes[3]?.length ?? 1,
    );
  return {
    name,
    level: 'Ground floor',
    outline: [
      [0, 0],
      [length, 0],
      [length, width],
      [0, width],
    ],
    height: height ?? USUAL_HEIGHT[unit],
    ceiling: { shape: 'flat' },
    openings: [],
  };
}

/** The name ends at a colon, or where the rest of the words first reads as sizes. */
function splitHead(head: Piece, unit: LengthUnit): { readonly name: string; readonly sizes: readonly Piece[] } {
  const colon = head.text.indexOf(':');
  if (colon >= 0)
    return { name: head.text.slice(0, colon).trim(), sizes: sizesIn(head.text.slice(colon + 1), head.at + colon + 1) };
  const starts = [...head.text.matchAll(/(?<=^|\s)\S/g)].map(({ index }) => index);
  const reads = (start: number) => {
    const sizes = sizesIn(head.text.slice(start), head.at + start);
    return sizes.length > 1 && sizes.every(({ text }) => parseLength(text, unit).ok);
  };
  const start =
    starts.find(reads) ?? starts.find((candidate) => candidate > 0 && /\d/.test(head.text.charAt(candidate)));
  if (start === undefined) return { name: head.text, sizes: [] };
  return { name: head.text.slice(0, start).trim(), sizes: sizesIn(head.text.slice(start), head.at + start) };
}

type LooseOpening = Omit<Opening, 'wall' | 'at'> & { readonly wall?: number; readonly at?: number };

/** One item after the sizes: an opening is returned, anything else is set on the room. */
function readItem(item: Piece, room: Draft, unit: LengthUnit): LooseOpening | undefined {
  const word = /^\S+/.exec(item.text)?.[0] ?? '';
  const rest = pieceOf(item.text.slice(word.length), item.at + word.length);
  switch (word.toLowerCase()) {
    case 'door':
    case 'window':
    case 'opening':
      return readOpening(word.toLowerCase() as 'door' | 'window' | 'opening', rest, unit);
    case 'level': {
      const level = LEVELS.find((candidate) => String(candidate) === rest.text);
      if (level === undefined) throw new Misread('a level of finish is 0 to 5', rest.at, rest.length);
      room.finish = { level };
      return undefined;
    }
    case 'on':
      if (rest.text === '') throw new Misread('the name of the floor is missing', item.at, item.length);
      room.level = rest.text;
      return undefined;
    case 'ceiling':
      return readCeiling(rest, room);
    case 'walls':
      if (rest.text !== 'across' && rest.text !== 'upright')
        throw new Misread('walls are hung across or upright', rest.at, rest.length);
      room.hang = { ...room.hang, walls: rest.text };
      return undefined;
    case '':
      throw new Misread('something is missing before the comma or after it', Math.max(0, item.at - 1), 1);
    default:
      throw new Misread(
        `"${word}" is not known: door, window, opening, level, on, ceiling or walls`,
        item.at,
        word.length,
      );
  }
}

function readCeiling({ text, at, length }: Piece, room: Draft): undefined {
  if (text === 'open' || text === 'flat') room.ceiling = { shape: text };
  else if (text === 'along' || text === 'across' || text === 'auto') room.hang = { ...room.hang, ceiling: text };
  else throw new Misread('a ceiling is flat or open, its boards along, across or auto', at, length);
}

function readOpening(kind: Opening['kind'], rest: Piece, unit: LengthUnit): LooseOpening {
  const words = [...rest.text.matchAll(OPENING_WORDS)];
  const firstWord = words[0]?.index ?? rest.text.length;
  const sizes = sizesIn(rest.text.slice(0, firstWord), rest.at);
  const [width, height] = sizes.map((size) => readPositive(size, unit));
  if (width === undefined || height === undefined || sizes.length !== 2) {
    throw new Misread(`a ${kind} needs its width x height`, sizes[2]?.at ?? rest.at, sizes[2]?.length ?? rest.length);
  }
  const said: { wall?: number; at?: number; sill?: number; depth?: number; edge?: Opening['edge'] } = {};
  words.forEach((match, index) => {
    const start = match.index + match[0].length;
    const value = pieceOf(rest.text.slice(start, words[index + 1]?.index ?? rest.text.length), rest.at + start);
    setOpeningWord(match[0].toLowerCase(), value, { at: rest.at + match.index, length: match[0].length }, said, unit);
  });
  const usualSill = kind === 'window' ? Math.max(0, HEAD_LINE[unit] - height) : 0;
  const { depth, ...places } = said;
  return { kind, width, height, sill: usualSill, edge: 'casing', ...places, ...(depth === undefined ? {} : { depth }) };
}

function setOpeningWord(
  word: string,
  value: Piece,
  place: Place,
  said: { wall?: number; at?: number; sill?: number; depth?: number; edge?: Opening['edge'] },
  unit: LengthUnit,
): void {
  if (word === 'casing' || word === 'bead' || word === 'open') {
    if (value.text !== '') throw new Misread(`"${value.text}" is not known here`, value.at, value.length);
    said.edge = word;
    return;
  }
  if (value.text === '') throw new Misread(`a value is missing after "${word}"`, place.at, place.length);
  if (word === 'wall') {
    if (!/^[1-9]\d*$/.test(value.text)) throw new Misread('walls are numbered from 1', value.at, value.length);
    said.wall = Number(value.text) - 1;
  } else if (word === 'at') said.at = readLength(value, unit);
  else if (word === 'depth') said.depth = readLength(value, unit);
  else said.sill = readLength(value, unit);
}

function placeOpenings(
  items: readonly { readonly item: Piece; readonly opening: LooseOpening | undefined }[],
  room: Draft,
  unit: LengthUnit,
): Opening[] {
  const walls = wallsOf(room.outline, unit);
  const taken = new Set(items.flatMap(({ opening }) => (opening?.wall === undefined ? [] : [opening.wall])));
  return items.flatMap(({ item, opening }): readonly Opening[] => {
    if (!opening) return [];
    const wall =
      opening.wall ??
      walls.find(({ index, length }) => !taken.has(index) && length >= toMm(opening.width, unit))?.index;
    if (wall === undefined)
      throw new Misread('no free wall is wide enough for it; say which: wall 1', item.at, item.length);
    const length = walls[wall]?.length;
    if (length === undefined) {
      const place = /\bwall\s+(\d+)/i.exec(item.text);
      const at = place ? item.at + place.index + place[0].length - (place[1]?.length ?? 0) : item.at;
      throw new Misread(`the room has ${walls.length} walls`, at, place?.[1]?.length ?? item.length);
    }
    taken.add(wall);
    const middle = (length - toMm(opening.width, unit)) / 2;
    if (opening.at === undefined && middle < 0) {
      throw new Misread(
        `the ${opening.kind} is wider than wall ${wall + 1} (${formatLength(length, unit)})`,
        item.at,
        item.length,
      );
    }
    return [{ ...opening, wall, at: opening.at ?? fromMm(middle, unit) }];
  });
}
