import type { Layout } from '@/core/joints/classTraits';
import type { Section } from '@/core/section/buildSection';
import { TAPE_WIDTH_MM } from '@/core/section/mud';
import type { Layer, Plane } from '@/core/section/plane';
import { linePath } from './linePath';

/** Where a section is drawn: mm across and mm of height to the units of a picture. */
export interface Frame {
  readonly width: number;
  readonly height: number;
  /** mm to each side of the joint's line that fit the picture. */
  readonly reach: number;
  /** Picture units per mm of height: many times the scale across, so that coats can be told apart. */
  readonly rise: number;
  /** How many times more mud is exaggerated than board: 1 where heights are to be read, more in a glyph. */
  readonly swell: number;
  /** The boards' plane, from the top of the picture. */
  readonly plane: number;
}

/** Where a corner stands in the picture, as a part of its height. */
export const CORNER_FOOT = 0.8;

type Place = (x: number, height: number) => readonly [number, number];

/**
 * How a plane of a section lies in the picture: seams lie level; a corner's first side stands, its second lies; the two
 * sides of a nose lean down from it.
 */
export function placeOn(layout: Layout, side: number, frame: Frame): Place {
  const { width, plane, reach, rise, height } = frame;
  switch (layout) {
    case 'across':
    case 'round':
    case 'even':
      return (x, h) => [width / 2 + (x / reach) * (width / 2), plane - h * rise];
    case 'corner': {
      const foot = height * CORNER_FOOT;
      const left = width / 2 - foot / 2;
      return side === 0
        ? (x, h) => [left + h * rise, foot - (x / reach) * foot]
        : (x, h) => [left + (x / reach) * foot, foot - h * rise];
    }
    case 'nose': {
      const lean = height * 0.35;
      const way = side === 0 ? -1 : 1;
      return (x, h) => [width / 2 + (way * x * width) / reach / 2, plane + (x / reach) * lean - h * rise];
    }
    case 'edge':
      return (x, h) => [width * 0.2 + (x / reach) * width * 0.8, plane - h * rise];
  }
}

/**
 * A frame that shows all of a section's coats, its height exaggerated until they can be told apart.
 *
 * @param swell see `Frame`
 * @param above mm to leave over the highest coat
 */
export function frameFor(section: Section, width: number, height: number, swell = 1, above = 0): Frame {
  const widest = Math.max(60, ...section.coats.map(({ coat }) => coat.tool.width));
  const both = section.layout === 'across' && section.class !== 'butt';
  const reach = section.layout === 'even' ? 200 : (both || section.layout === 'round' ? widest / 2 : widest) * 1.12;
  let [low, high] = [0, 0.4];
  for (const { board, top, layers } of section.planes) {
    for (const heights of [board, top, ...layers.map(({ wet }) => wet)])
      for (const [index, height] of heights.entries()) {
        const h = swollen(board[index] ?? 0, height, swell);
        if (h < low) low = h;
        if (h > high) high = h;
      }
  }
  const room = section.layout === 'corner' ? height * 0.4 : height * (section.layout === 'nose' ? 0.4 : 0.62);
  high += above;
  // The two sides of a corner meet at its bisector: mud thicker than its tape is wide would stand in its own way.
  const most =
    section.layout === 'corner'
      ? (((height * CORNER_FOOT) / reach) * (TAPE_WIDTH_MM / 2)) / (1.3 * swell)
      : height * 0.45;
  const rise = Math.min(most, room / (high - low));
  return { width, height, reach, rise, swell, plane: height * 0.12 + high * rise };
}

/** Mud over the board's plane, or over a board that stands proud, is swollen; what fills a valley fills it as it is. */
function swollen(board: number, height: number, swell: number): number {
  const base = Math.max(board, 0);
  return height <= base ? height : base + (height - base) * swell;
}

const THIN_MM = 0.012;

/** The outline of what one coat left, wet or as it is in the end; empty where it covers nothing of the plane. */
export function layerPath(plane: Plane, layer: Layer, place: Place, frame: Frame, wet = false, samples = 30): string {
  const upper = wet ? layer.wet : layer.sanded;
  const lower = layer.below;
  const covered = indicesWithin(plane, frame.reach).filter(
    (index) => (upper[index] ?? 0) - (lower[index] ?? 0) > THIN_MM,
  );
  const [first, last] = [covered[0], covered.at(-1)];
  if (first === undefined || last === undefined || last - first < 2) return '';
  const at = sampled(plane, first, last, samples);
  const over = points(plane, upper, at, place, frame);
  const under = points(plane, lower, at, place, frame).reverse();
  return over.length + under.length < 3 ? '' : `${linePath([...over, ...under])}Z`;
}

/** The places of heights; next to a corner what would reach through the other side is left out, so that sides meet. */
function points(
  plane: Plane,
  heights: readonly number[],
  at: readonly number[],
  place: Place,
  { swell }: Frame,
): (readonly [number, number])[] {
  const [x0, y0] = place(0, 0);
  const corner = plane.from === 0 && isCorner(place);
  return at.flatMap((index) => {
    const x = plane.from + index * plane.step;
    const [baseX, baseY] = place(x, 0);
    const [px, py] = place(x, swollen(plane.board[index] ?? 0, heights[index] ?? 0, swell));
    const through = Math.hypot(px - baseX, py - baseY) > Math.hypot(baseX - x0, baseY - y0) + 0.01;
    return corner && through ? [] : [[px, py] as const];
  });
}

/** A corner's first side stands: height leads to the right there, and along to the top. */
function isCorner(place: Place): boolean {
  const [[x, y], [alongX, alongY], [upX, upY]] = [place(0, 0), place(10, 0), place(0, 1)];
  return (alongX === x && upY === y) || (alongY === y && upX === x);
}

/** A line along a surface of a plane. */
export function surfacePath(
  plane: Plane,
  heights: readonly number[],
  place: Place,
  reach: number,
  samples = 30,
): string {
  const within = indicesWithin(plane, reach);
  const at = sampled(plane, within[0] ?? 0, within.at(-1) ?? 0, samples);
  return linePath(at.map((index) => place(plane.from + index * plane.step, heights[index] ?? 0)));
}

/** Round the back of the boards, from the end of their surface to its start. */
export function backOfBoards(layout: Layout, side: number, { width, height }: Frame): string {
  const left = width / 2 - (height * CORNER_FOOT) / 2;
  switch (layout) {
    case 'corner':
      return side === 0 ? `H${left - height * 0.2}V${height}H${left}Z` : `V${height}H${left}Z`;
    case 'nose':
      return `V${height}H${width / 2}Z`;
    case 'edge':
      return `V${height}H${width * 0.2}Z`;
    case 'across':
    case 'round':
    case 'even':
      return `V${height}H0Z`;
  }
}

/** The tape that a coat laid. */
export function tapePath(plane: Plane, layer: Layer, place: Place, frame: Frame): string {
  const { tape } = layer;
  if (!tape) return '';
  const under = plane.board.flatMap((_, index) =>
    (tape.top[index] ?? 0) - (tape.bottom[index] ?? 0) > 0 ? [index] : [],
  );
  const shown = under.filter((_, order) => order % 3 === 0 || order === under.length - 1);
  const line = points(plane, tape.top, shown, place, frame);
  return line.length < 2 ? '' : linePath(line);
}

const indicesWithin = ({ from, step, board }: Plane, reach: number): readonly number[] =>
  board.flatMap((_, index) => (Math.abs(from + index * step) <= reach ? [index] : []));

/** Evenly, and closely where the boards bend: at the line, the edges of the tape and of the taper. */
function sampled(plane: Plane, first: number, last: number, samples: number): readonly number[] {
  const every = Math.max(1, Math.floor((last - first) / samples));
  const bends = [0, 4, 28, 58].flatMap((x) => [x, -x]).map((x) => Math.round((x - plane.from) / plane.step));
  const chosen = new Set([first, last, ...bends.filter((index) => index > first && index < last)]);
  for (let index = first; index < last; index += every) chosen.add(index);
  return [...chosen].sort((a, b) => a - b);
}
