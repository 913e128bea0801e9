import { formatLength } from '../measure/formatLength';
import { fromMm, type LengthUnit, TOLERANCE_MM, toMm } from '../measure/unit';
import type { Opening, Room } from '../room/schema';
import type { ReadItem } from './lineItems';
import { faceName } from './lineValues';
import { Misread, type Piece, readLength, readPositive, sizesIn } from './quickLinePieces';
import { choiceOf, type Reader, value, wallFrom } from './reader';
import { readWalk } from './walk';

/** Heads line up with a door's at 80 in, where no sill is written: common practice, no source. */
const HEAD_LINE = { in: 80, mm: 2032 } as const;
/** A niche's usual bottom above the floor. Common practice, no source. */
const NICHE_BOTTOM = { in: 48, mm: 1200 } as const;

/** A door, window or opening: on the wall that it names or the next free one, in its middle unless a place is said. */
export function addOpening(item: ReadItem, kind: Opening['kind'], reader: Reader): void {
  const { room, walls, unit, owners, taken } = reader;
  const { values } = item;
  const [width, height] = [readPositive(value(item, 'width'), unit), readPositive(value(item, 'height'), unit)];
  const named = values.wall ? wallFrom(values.wall, reader) : undefined;
  const wall = named ?? walls.find(({ index, length }) => !taken.has(index) && length >= toMm(width, unit))?.index;
  if (wall === undefined)
    throw new Misread('no free wall is wide enough for it; say which: wall 1', item.whole.at, item.whole.length);
  taken.add(wall);
  const length = walls[wall]?.length ?? 0;
  const middle = (length - toMm(width, unit)) / 2;
  if (!values.at && middle < -TOLERANCE_MM)
    throw new Misread(
      `the ${kind} is wider than wall ${wall + 1} (${formatLength(length, unit)})`,
      item.whole.at,
      item.whole.length,
    );
  const arch = values.arch ? readLength(values.arch, unit) : 0;
  room.openings = [
    ...room.openings,
    {
      wall,
      kind,
      at: values.at ? readLength(values.at, unit) : fromMm(Math.max(0, middle), unit),
      width,
      height,
      sill: values.sill ? readLength(values.sill, unit) : kind === 'window' ? Math.max(0, HEAD_LINE[unit] - height) : 0,
      edge: values.edge ? choiceOf<Opening['edge']>(item, 'edge') : 'casing',
      ...(values.depth ? { depth: readLength(values.depth, unit) } : {}),
      ...(arch > 0 ? { head: { arch } } : {}),
    },
  ];
  owners.set(`openings[${room.openings.length - 1}]`, item);
}

export function addNiche(item: ReadItem, reader: Reader): void {
  const { room, unit, owners } = reader;
  const { values } = item;
  const width = readPositive(value(item, 'width'), unit);
  const wall = wallFrom(value(item, 'wall'), reader);
  const middle = fromMm(((reader.walls[wall]?.length ?? 0) - toMm(width, unit)) / 2, unit);
  const shelves = values.shelves ? Number(values.shelves.text) : 0;
  if (!Number.isInteger(shelves) || shelves < 0)
    throw new Misread(
      'shelves are counted: 0, 1, 2 …',
      values.shelves?.at ?? item.whole.at,
      values.shelves?.length ?? 1,
    );
  const niche = {
    wall,
    at: values.at ? readLength(values.at, unit) : Math.max(0, middle),
    bottom: values.bottom ? readLength(values.bottom, unit) : NICHE_BOTTOM[unit],
    width,
    height: readPositive(value(item, 'height'), unit),
    depth: readPositive(value(item, 'depth'), unit),
    shelves,
  };
  room.niches = [...(room.niches ?? []), niche];
  owners.set(`niches[${room.niches.length - 1}]`, item);
}

/** The level, surface or light of the room or of one face. */
export function addFinish(item: ReadItem, kind: 'level' | 'surface' | 'light', { room, owners }: Reader): void {
  type Finish = NonNullable<Room['finish']>;
  const said = choiceOf<string>(item, kind);
  const part = { [kind]: kind === 'level' ? Number(said) : said } as Pick<Finish, 'level' | 'surface' | 'light'>;
  if (!item.values.of) {
    room.finish = { ...room.finish, ...part };
    return;
  }
  const face = faceName(item.values.of);
  room.finish = {
    ...room.finish,
    faces: { ...room.finish?.faces, [face]: { ...room.finish?.faces?.[face], ...part } },
  };
  owners.set(`finish.faces.${face}`, item);
}

/** A column by its size and first corner, or by a walk round it from there. */
export function columnFrom(item: ReadItem, unit: LengthUnit): [number, number][] {
  const shape = value(item, 'shape');
  const place = value(item, 'at');
  const [x, y, more] = sizesIn(place.text, place.at).map((piece) => readLength(piece, unit));
  if (x === undefined || y === undefined || more !== undefined)
    throw new Misread("a column stands at so far right x so far down: at 5' x 4'", place.at, place.length);
  const corners: readonly (readonly [number, number])[] = /^[rldu]/i.test(shape.text)
    ? readWalk(shape, unit, 'column').outline
    : boxFrom(shape, unit);
  return corners.map(([dx, dy]): [number, number] => [x + dx, y + dy]);
}

function boxFrom(shape: Piece, unit: LengthUnit): readonly (readonly [number, number])[] {
  const [wide, deep, more] = sizesIn(shape.text, shape.at).map((piece) => readPositive(piece, unit));
  if (wide === undefined || deep === undefined || more !== undefined)
    throw new Misread('a column needs its width x depth', shape.at, shape.length);
  return [
    [0, 0],
    [0, deep],
    [wide, deep],
    [wide, 0],
  ];
}
