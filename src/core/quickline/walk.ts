import { formatLength } from '../measure/formatLength';
import { parseLength } from '../measure/parseLength';
import { fromMm, type LengthUnit, toMm } from '../measure/unit';
import type { Point } from '../measure/vector';
import { checkOutline } from '../room/checks/checkOutline';
import type { Room } from '../room/schema';
import { turnedOutline } from '../room/turnedOutline';
import { isClockwise, wallsOf } from '../room/walls';
import { inchesText } from './lengthText';
import {
  type LineMend,
  Misread,
  type Piece,
  type Place,
  pieceOf,
  readPositive,
  readWallLength,
  sizesIn,
  wallText,
} from './quickLinePieces';

type Outline = Room['outline'];

const WAYS: Readonly<Record<string, Point>> = { r: [1, 0], l: [-1, 0], d: [0, 1], u: [0, -1] };
const STEP = /(?<![A-Za-z])([rldu]{1,2})(?=[\s\d.])|(?<![A-Za-z])([rldu]{1,2})(?=\s*$)/gi;
/** A tape is read to a sixteenth: what a walk fails to close by less is none. */
const CLOSED_MM = 1.6;

/** A walk along the walls, read: its corners in the house's unit, and by how much it failed to close. */
export interface Walk {
  readonly outline: Outline;
  readonly gap: Point;
}

/** Whether a text is a walk: `r 12' d 3'6 r 4' …`, at least three steps and nothing else. */
export function isWalk(text: string, unit: LengthUnit): boolean {
  const steps = stepsIn({ text: withoutSpread(text), at: 0, length: text.length });
  return (
    steps.length >= 3 &&
    steps[0]?.start === 0 &&
    steps
      .slice(0, -1)
      .every(({ value }) => sizesIn(value.text, 0).every((size) => parseLength(size.text, unit).ok && size.text !== ''))
  );
}

const withoutSpread = (text: string): string => text.replace(/\s+spread\s*$/i, '');

/**
 * Reads a walk along the walls: right, down, left and up on the plan, two letters for a slanting wall (`dr 3'` at 45°,
 * `dr 3' x 2'` by its two legs). The last wall may go without its length and closes the walk. A walk that does not
 * close is refused with the gap, unless it ends in `spread`: then every wall takes its share of it.
 */
export function readWalk(text: Piece, unit: LengthUnit, of: 'room' | 'column' = 'room'): Walk {
  const spread = withoutSpread(text.text) !== text.text;
  const walked = pieceOf(withoutSpread(text.text), text.at);
  const steps = stepsIn(walked);
  const [first] = steps;
  if (!first || first.start > 0)
    throw new Misread('a walk starts with a direction: r, d, l or u', walked.at, Math.max(1, first?.start ?? 1));
  const lengths = steps.flatMap(({ value }) => sizesIn(value.text, value.at));
  const runs = steps.flatMap((step, index): readonly Point[] => {
    if (step.value.text === '' && index === steps.length - 1) return [];
    return [runOf(step, unit, of === 'room' ? lengths : undefined)];
  });
  const end = runs.reduce<Point>(([x, y], [dx, dy]) => [x + dx, y + dy], [0, 0]);
  const closing = runs.length < steps.length ? closingRun(steps.at(-1), end) : undefined;
  const gap: Point = closing ? [end[0] + closing[0], end[1] + closing[1]] : end;
  const all = closing ? [...runs, closing] : runs;
  if (runs.length < 3 && all.length < 3) throw new Misread('a room has at least three walls', walked.at, walked.length);
  const missed = Math.hypot(toMm(gap[0], unit), toMm(gap[1], unit));
  if (missed > CLOSED_MM && !spread) throw openWalk(gap, walked, steps, unit, all);
  return { outline: cornersOf(all, gap, unit), gap: missed > CLOSED_MM ? gap : [0, 0] };
}

interface Step {
  readonly way: string;
  readonly start: number;
  readonly place: Place;
  readonly value: Piece;
}

function stepsIn({ text, at }: Piece): readonly Step[] {
  const marks = [...text.matchAll(STEP)];
  return marks.map((match, index) => {
    const way = (match[1] ?? match[2] ?? '').toLowerCase();
    const from = match.index + way.length;
    const to = marks[index + 1]?.index ?? text.length;
    const value = pieceOf(text.slice(from, to), at + from);
    return { way, start: match.index, value, place: { at: at + match.index, length: to - match.index } };
  });
}

/** @param walls all lengths of the walk, where short ones are asked about */
function runOf({ way, value, place }: Step, unit: LengthUnit, walls: readonly Piece[] | undefined): Point {
  const [one, other] = [...way].map((letter) => WAYS[letter]);
  if (!one) throw new Misread('walls run r, d, l or u', place.at, 1);
  if (value.text === '') throw new Misread(`a length is missing after "${way}"`, place.at, way.length);
  const sizes = sizesIn(value.text, value.at);
  const [first, second] = sizes.map((size) => (walls ? readWallLength(size, walls, unit) : readPositive(size, unit)));
  if (first === undefined) throw new Misread(`a length is missing after "${way}"`, place.at, way.length);
  if (!other) {
    if (second !== undefined) throw new Misread('a straight wall has one length', value.at, value.length);
    return [one[0] * first, one[1] * first];
  }
  if (Math.abs(one[0]) === Math.abs(other[0]))
    throw new Misread(`"${way}" is no direction: one letter across, one along`, place.at, way.length);
  const [a, b] = second === undefined ? [first / Math.SQRT2, first / Math.SQRT2] : [first, second];
  return [one[0] * a + other[0] * b, one[1] * a + other[1] * b];
}

/** The last wall's run back to the start, when only its direction was said. */
function closingRun(step: Step | undefined, [x, y]: Point): Point {
  const ways = [...(step?.way ?? '')].map((letter): Point => WAYS[letter] ?? [0, 0]);
  const back: Point = [-x, -y];
  const along = (way: Point) => Math.max(0, back[0] * way[0] + back[1] * way[1]);
  return ways.reduce<Point>(([sx, sy], way) => [sx + way[0] * along(way), sy + way[1] * along(way)], [0, 0]);
}

/** A tape is misread by inches at most: a walk that misses by more has a wall missing or wrong. Common practice, no source. */
const MISREAD_MM = 150;

function openWalk(
  gap: Point,
  walked: Piece,
  steps: readonly Step[],
  unit: LengthUnit,
  runs: readonly Point[],
): Misread {
  const place = steps.at(-1)?.place ?? walked;
  const away = [
    Math.abs(gap[0]) > 1e-9 ? `${lengthOf(gap[0], unit)} to the ${gap[0] > 0 ? 'right' : 'left'} of the start` : '',
    Math.abs(gap[1]) > 1e-9 ? `${lengthOf(gap[1], unit)} ${gap[1] > 0 ? 'below' : 'above'} the start` : '',
  ].filter(Boolean);
  const end = walked.at + walked.length;
  const spread: LineMend = {
    label: `Spread it over the ${runs.length} walls`,
    line: (line) => `${line.slice(0, end)} spread${line.slice(end)}`,
  };
  const isMisread = Math.hypot(toMm(gap[0], unit), toMm(gap[1], unit)) <= MISREAD_MM;
  const mend = isMisread ? spread : waysToClose(gap, runs, steps, end, unit).find(({ runs: all }) => isRoom(all, unit));
  return new Misread(
    `the walls do not close: they end ${away.join(' and ')}`,
    place.at,
    place.length,
    mend && { label: mend.label, line: mend.line },
  );
}

const lengthOf = (value: number, unit: LengthUnit): string => formatLength(Math.abs(toMm(value, unit)), unit);
const lineText = (value: number, unit: LengthUnit): string => wallText(value, unit, inchesText(value, unit));
/** Returns whether a walk encloses a room, clockwise or counterclockwise. */
function isRoom(runs: readonly Point[], unit: LengthUnit): boolean {
  const outline = cornersOf(runs, [0, 0], unit);
  return checkOutline(isClockwise(outline) ? outline : turnedOutline(outline), unit).length === 0;
}

/** A way to close a walk, with the runs that it would have. */
interface Closing extends LineMend {
  readonly runs: readonly Point[];
}

/** Lists ways to close a walk, the likeliest first: walls added at its end, else one wall made longer or shorter. */
function waysToClose(
  gap: Point,
  runs: readonly Point[],
  steps: readonly Step[],
  end: number,
  unit: LengthUnit,
): readonly Closing[] {
  const added = closingSteps(gap, runs.at(-1) ?? [0, 0]);
  const words = added.map(([way, length]) => `${lengthOf(length, unit)} ${WAY_WORDS[way]}`).join(' and ');
  const text = added.map(([way, length]) => ` ${way} ${lineText(length, unit)}`).join('');
  const add: Closing = {
    label: `Add ${words}`,
    line: (line) => line.slice(0, end) + text + line.slice(end),
    runs: [...runs, ...added.map(([way, length]) => scaled(WAYS[way] ?? [0, 0], length))],
  };
  const changed = runs.flatMap((run, index): readonly Closing[] => {
    const step = steps[index];
    const length = Math.hypot(...run);
    const left = length - (run[0] * gap[0] + run[1] * gap[1]) / length;
    const isAlong = Math.abs(run[0] * gap[1] - run[1] * gap[0]) < 1e-6 * length;
    if (!step || step.way.length > 1 || !isAlong || left < 1e-6) return [];
    const { at, length: size } = step.value;
    return [
      {
        label: `Make wall ${index + 1} ${lengthOf(left, unit)}`,
        line: (line) => line.slice(0, at) + lineText(tidy(left), unit) + line.slice(at + size),
        runs: runs.with(index, scaled(run, left / length)),
      },
    ];
  });
  return [add, ...changed.reverse()];
}

const scaled = ([x, y]: Point, by: number): Point => [x * by, y * by];

const WAY_WORDS: Readonly<Record<string, string>> = { r: 'right', l: 'left', d: 'down', u: 'up' };

/** The straight walls that lead back to the start, first the one that turns off the last wall. */
function closingSteps([x, y]: Point, [dx, dy]: Point): readonly (readonly [way: string, length: number])[] {
  const across = Math.abs(x) > 1e-9 ? [[x > 0 ? 'l' : 'r', tidy(Math.abs(x))] as const] : [];
  const along = Math.abs(y) > 1e-9 ? [[y > 0 ? 'u' : 'd', tidy(Math.abs(y))] as const] : [];
  return Math.abs(dx) > Math.abs(dy) ? [...along, ...across] : [...across, ...along];
}

/**
 * The corners of a walk. Walls across take the gap across, walls along the gap along, each its share by its length and
 * in steps that a tape shows, so that square corners stay square.
 */
function cornersOf(runs: readonly Point[], gap: Point, unit: LengthUnit): Outline {
  const shares = [0, 1].map((axis) => {
    const parts = runs.map((run) => Math.abs(run[axis] ?? 0));
    const whole = parts.reduce((sum, part) => sum + part, 0);
    const step = unit === 'in' ? 1 / 16 : 1;
    const all = parts.map((part) => Math.round(((gap[axis] ?? 0) * part) / whole / step) * step);
    // What the steps leave is taken by the longest wall.
    const longest = parts.indexOf(Math.max(...parts));
    const left = (gap[axis] ?? 0) - all.reduce((sum, share) => sum + share, 0);
    return all.map((share, index) => (index === longest ? share + left : share));
  });
  let [x, y] = [0, 0];
  return runs.map(([dx, dy], index): [number, number] => {
    const corner: [number, number] = [tidy(x), tidy(y)];
    x += dx - (shares[0]?.[index] ?? 0);
    y += dy - (shares[1]?.[index] ?? 0);
    return corner;
  });
}

const tidy = (value: number): number => {
  const rounded = Math.round(value * 1e6) / 1e6;
  return Object.is(rounded, -0) ? 0 : rounded;
};

/**
 * Writes an outline as the walk that reads back into it, from wall 0 on.
 *
 * @example formatWalk([[0, 0], [144, 0], [144, 42], …], 'in')  // `r 12' d 3'6 …`
 */
export function formatWalk(outline: Outline, unit: LengthUnit): string {
  const text = (length: number) => wallText(length, unit, inchesText(length, unit));
  return wallsOf(outline, unit)
    .map(({ from, to }) => {
      const [dx, dy] = [fromMm(to[0] - from[0], unit), fromMm(to[1] - from[1], unit)];
      const across = dx > 0 ? 'r' : 'l';
      const down = dy > 0 ? 'd' : 'u';
      if (Math.abs(dy) < 1e-6) return `${across} ${text(Math.abs(dx))}`;
      if (Math.abs(dx) < 1e-6) return `${down} ${text(Math.abs(dy))}`;
      return `${across}${down} ${text(Math.abs(dx))} x ${text(Math.abs(dy))}`;
    })
    .join(' ');
}
