import { isInside } from '../measure/chords';
import { fromMm, type LengthUnit, MM_PER_FOOT, MM_PER_INCH } from '../measure/unit';
import type { Loop, Point } from '../measure/vector';
import { crossingIn } from '../room/checks/checkOutline';
import { checkRoom } from '../room/checks/checkRoom';
import { withIds } from '../room/ids';
import { type QuickRoom, type RoomDefaults, roomSchema } from '../room/schema';
import { turnedOutline } from '../room/turnedOutline';
import { isClockwise } from '../room/walls';
import { MOST_DRAWN_ROOMS } from './mostRooms';
import type { Drawing, DrawingUnit } from './readDxf';

/** A room of a drawing. */
export interface DrawnRoom {
  readonly room: QuickRoom;
  /** Where it lies on its floor, in the house's unit. */
  readonly at: Point;
  /** mm². */
  readonly area: number;
}

/** What of a layer are rooms, and what was left out and why. */
export interface RoomsInDrawing {
  readonly rooms: readonly DrawnRoom[];
  readonly left: readonly { readonly what: string; readonly why: string }[];
}

/** A layer with how many outlines of it are closed. */
export interface DrawnLayer {
  readonly name: string;
  readonly closed: number;
}

const MM: Readonly<Record<DrawingUnit, number>> = { in: MM_PER_INCH, ft: MM_PER_FOOT, mm: 1, cm: 10, m: 1000 };
/** Points nearer than this are one. */
const SAME_MM = 2;
/** Smaller is a shaft or a mistake, and no room; mm². Common practice, no source. */
const LEAST_AREA_MM2 = 0.4e6;
/** A floor has fewer; what is more is a hatch. */
const MOST_OUTLINES = 1000;
/** More of one kind are counted together. */
const MOST_TOLD = 20;

/** The layers of a drawing, those with most closed outlines first. */
export function layersOf({ lines }: Drawing): readonly DrawnLayer[] {
  const layers = new Map<string, number>();
  for (const { layer, points, closed } of lines)
    layers.set(layer, (layers.get(layer) ?? 0) + (isClosed(points, closed, 0) ? 1 : 0));
  return [...layers]
    .map(([name, closed]) => ({ name, closed }))
    .sort((a, b) => b.closed - a.closed || a.name.localeCompare(b.name));
}

/**
 * The closed outlines of a layer as rooms: named by the writing within, standing as they are drawn. What lies within another one
 * is a column of it.
 *
 * @param height of all of them, mm
 */
export function roomsIn(
  drawing: Drawing,
  {
    layer,
    unit,
    height,
    floor,
  }: { readonly layer: string; readonly unit: DrawingUnit; readonly height: number; readonly floor: string },
  house: RoomDefaults,
): RoomsInDrawing {
  const left: { what: string; why: string }[] = [];
  const outlines: { loop: Loop; area: number; column: boolean }[] = [];
  const own = drawing.lines.filter((line) => line.layer === layer);
  let loose = 0;
  for (const [index, { points, closed }] of own.entries()) {
    const loop = tidied(points, MM[unit], isClosed(points, closed, SAME_MM / MM[unit]));
    const what = `outline ${index + 1}`;
    if (points.length < 3) loose += 1;
    else if (!loop) left.push({ what, why: 'is open: its ends do not meet' });
    else if (loop.length < 3) left.push({ what, why: 'has fewer than three corners' });
    else outlines.push({ loop, area: areaOf(loop), column: false });
  }
  if (loose > 0)
    left.push({
      what: `${loose} ${loose === 1 ? 'line' : 'lines'}`,
      why: 'stand alone: outlines are closed polylines',
    });
  outlines.sort((a, b) => b.area - a.area);
  if (outlines.length > MOST_OUTLINES) {
    left.push({ what: `${outlines.length - MOST_OUTLINES} outlines`, why: 'are smaller than the thousand largest' });
    outlines.length = MOST_OUTLINES;
  }
  const columns = new Map<Loop, Loop[]>();
  for (const [index, outline] of outlines.entries()) {
    const around = outlines
      .slice(0, index)
      .findLast(
        (other) =>
          !other.column &&
          other.area > outline.area * 1.01 &&
          outline.loop.every((point) => isInside(point, [other.loop])),
      );
    if (!around) continue;
    outline.column = true;
    columns.set(around.loop, [...(columns.get(around.loop) ?? []), outline.loop]);
  }
  const rooms: DrawnRoom[] = [];
  const names = new Set<string>();
  const texts = drawing.texts
    .filter(({ text }) => isName(text))
    .map(({ text, at: [x, y], height: size }) => ({
      text,
      size,
      at: [x * MM[unit], -y * MM[unit]] as Point,
    }))
    .sort((a, b) => a.at[0] - b.at[0]);
  for (const { loop, area, column } of outlines) {
    if (column) continue;
    const name = nameIn(loop, texts) ?? `Room ${rooms.length + 1}`;
    if (crossingIn(loop)) {
      left.push({ what: name, why: 'crosses itself' });
      continue;
    }
    if (area < LEAST_AREA_MM2) {
      left.push({ what: name, why: 'is smaller than a closet' });
      continue;
    }
    if (rooms.length === MOST_DRAWN_ROOMS) {
      left.push({ what: name, why: `is one more than the ${MOST_DRAWN_ROOMS} that are taken over at once` });
      continue;
    }
    const drawn = roomOf(loop, columns.get(loop) ?? [], freeName(name, names), height, floor, house);
    if ('why' in drawn) left.push({ what: name, why: drawn.why });
    else rooms.push({ ...drawn, area });
  }
  for (const { kind, layer: on, count } of drawing.others)
    if (on === layer) left.push({ what: `${count} × ${kind.toLowerCase()}`, why: 'is no outline' });
  return { rooms, left: shortened(left) };
}

function roomOf(
  loop: Loop,
  inner: readonly Loop[],
  name: string,
  height: number,
  floor: string,
  house: RoomDefaults,
): Omit<DrawnRoom, 'area'> | { readonly why: string } {
  const { unit } = house;
  const origin: Point = [Math.min(...loop.map(([x]) => x)), Math.min(...loop.map(([, y]) => y))];
  const placed = (one: Loop): [number, number][] =>
    one.map(([x, y]) => [rounded(x - origin[0], unit), rounded(y - origin[1], unit)]);
  const outline = placed(loop);
  const read = roomSchema.omit({ id: true, at: true }).safeParse({
    name: name.slice(0, 80),
    floor,
    outline: isClockwise(outline) ? outline : turnedOutline(outline),
    height: fromMm(height, unit),
    ...(inner.length > 0 && { columns: inner.map((own) => ({ outline: placed(own) })) }),
  });
  if (!read.success) return { why: read.error.issues[0]?.message ?? 'is no room' };
  const [problem] = checkRoom(withIds({ ...read.data, id: 'new' }, unit), house);
  if (problem) return { why: problem.reason };
  return { room: read.data, at: [rounded(origin[0], unit), rounded(origin[1], unit)] };
}

/** To the sixteenth of an inch, or the millimetre: drawings carry the noise of what was drawn. */
const rounded = (mm: number, unit: LengthUnit): number =>
  unit === 'in' ? Math.round((mm / MM_PER_INCH) * 16) / 16 : Math.round(mm);

/**
 * The outline on the page, mm, y down, each corner once and no point between two that are in line with it; nothing where it is
 * open.
 */
function tidied(points: readonly Point[], scale: number, closed: boolean): Loop | undefined {
  if (!closed) return undefined;
  const loop = points.map(([x, y]): Point => [x * scale, -y * scale]);
  const far = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1]) > SAME_MM;
  const corners = loop.filter((point, index) => far(point, loop[(index + 1) % loop.length] ?? point));
  return corners.filter((point, index) => {
    const [before, after] = [corners.at(index - 1) ?? point, corners[(index + 1) % corners.length] ?? point];
    const across = (point[0] - before[0]) * (after[1] - before[1]) - (point[1] - before[1]) * (after[0] - before[0]);
    return Math.abs(across) / Math.max(1, Math.hypot(after[0] - before[0], after[1] - before[1])) > SAME_MM / 4;
  });
}

function isClosed(points: readonly Point[], said: boolean, near: number): boolean {
  const [first, last] = [points[0], points.at(-1)];
  return (
    points.length > 2 &&
    (said || (first !== undefined && last !== undefined && Math.hypot(first[0] - last[0], first[1] - last[1]) <= near))
  );
}

const areaOf = (loop: Loop): number =>
  Math.abs(
    loop.reduce((sum, [x, y], index) => {
      const [nextX, nextY] = loop[(index + 1) % loop.length] ?? [x, y];
      return sum + x * nextY - nextX * y;
    }, 0),
  ) / 2;

/** The name, or with the first number that makes it another than those that are taken. */
function freeName(name: string, taken: Set<string>): string {
  let own = name;
  for (let number = 2; taken.has(own); number += 1) own = `${name} ${number}`;
  taken.add(own);
  return own;
}

/** Writing that is no size. */
const isName = (text: string): boolean =>
  /\p{L}{2}/u.test(text) && !/^[\d.,' "″′x×]+\s*(?:mm|cm|m|m²|m2|ft|in|sf|sq)*$/iu.test(text);

interface Writing {
  readonly text: string;
  readonly size: number;
  readonly at: Point;
}

/**
 * The largest of the names that stand within.
 *
 * @param names from left to right: a drawing may hold hundreds of thousands
 */
function nameIn(loop: Loop, names: readonly Writing[]): string | undefined {
  const [xs, ys] = [loop.map(([x]) => x), loop.map(([, y]) => y)];
  const [right, top, bottom] = [Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  let largest: Writing | undefined;
  for (let index = firstFrom(names, Math.min(...xs)); index < names.length; index += 1) {
    const name = names[index];
    if (!name || name.at[0] > right) break;
    const isNear = name.at[1] >= top && name.at[1] <= bottom;
    if (isNear && (!largest || name.size > largest.size) && isInside(name.at, [loop])) largest = name;
  }
  return largest?.text;
}

/** The first of the names that stands no farther left. */
function firstFrom(names: readonly Writing[], x: number): number {
  let [low, high] = [0, names.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((names[middle]?.at[0] ?? x) < x) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Many of one kind are told as one. */
function shortened(left: readonly { readonly what: string; readonly why: string }[]): RoomsInDrawing['left'] {
  const counts = new Map<string, number>();
  for (const { why } of left) counts.set(why, (counts.get(why) ?? 0) + 1);
  const told = new Set<string>();
  return left.flatMap((one) => {
    const count = counts.get(one.why) ?? 0;
    if (count <= MOST_TOLD) return [one];
    if (told.has(one.why)) return [];
    told.add(one.why);
    return [{ what: `${count} of them`, why: one.why }];
  });
}
