import type { Layer, Plane, Section } from '@/core/section/buildSection';
import type { Layout } from '@/core/section/joint';

/** Where a section is drawn: mm across and mm of height to the units of a picture. */
export interface Frame {
  readonly width: number;
  readonly height: number;
  /** mm to each side of the joint's line that fit the picture. */
  readonly reach: number;
  /** Picture units per mm of height: many times the scale across, so that coats can be told apart. */
  readonly rise: number;
  /** The boards' plane, from the top of the picture. */
  readonly plane: number;
}

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
      const [left, foot] = [width * 0.3, height * 0.74];
      return side === 0
        ? (x, h) => [left + h * rise, foot - (x / reach) * foot]
        : (x, h) => [left + (x / reach) * (width - left), foot - h * rise];
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

/** A frame that shows all of a section's coats, its height exaggerated until they can be told apart. */
export function frameFor(section: Section, width: number, height: number): Frame {
  const widest = Math.max(60, ...section.coats.map(({ coat }) => coat.width));
  const both = section.layout === 'across' && section.class !== 'butt';
  const reach = section.layout === 'even' ? 200 : (both || section.layout === 'round' ? widest / 2 : widest) * 1.12;
  let [low, high] = [0, 0.4];
  for (const { board, top, layers } of section.planes) {
    for (const heights of [board, top, ...layers.map(({ wet }) => wet)])
      for (const h of heights) {
        if (h < low) low = h;
        if (h > high) high = h;
      }
  }
  const room = section.layout === 'corner' ? height * 0.5 : height * (section.layout === 'nose' ? 0.4 : 0.62);
  const rise = Math.min(height * 0.45, room / (high - low));
  return { width, height, reach, rise, plane: height * 0.12 + high * rise };
}

const THIN_MM = 0.012;

/** The outline of what one coat left, wet or as it is in the end; empty where it covers nothing of the plane. */
export function layerPath(plane: Plane, layer: Layer, place: Place, reach: number, wet = false, samples = 30): string {
  const upper = wet ? layer.wet : layer.sanded;
  const lower = layer.below;
  const covered = indicesWithin(plane, reach).filter((index) => (upper[index] ?? 0) - (lower[index] ?? 0) > THIN_MM);
  const [first, last] = [covered[0], covered.at(-1)];
  if (first === undefined || last === undefined || last - first < 2) return '';
  const at = sampled(plane, first, last, samples);
  const over = at.map((index) => place(plane.from + index * plane.step, upper[index] ?? 0));
  const under = at.map((index) => place(plane.from + index * plane.step, lower[index] ?? 0)).reverse();
  return `M${[...over, ...under].map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;
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
  return `M${at
    .map((index) =>
      place(plane.from + index * plane.step, heights[index] ?? 0)
        .map((value) => value.toFixed(1))
        .join(' '),
    )
    .join('L')}`;
}

/** The tape that a coat laid. */
export function tapePath(plane: Plane, layer: Layer, place: Place): string {
  const { tape } = layer;
  if (!tape) return '';
  const under = plane.board.flatMap((_, index) =>
    (tape.top[index] ?? 0) - (tape.bottom[index] ?? 0) > 0 ? [index] : [],
  );
  const shown = under.filter((_, order) => order % 4 === 0 || order === under.length - 1);
  return shown.length < 2
    ? ''
    : `M${shown
        .map((index) =>
          place(plane.from + index * plane.step, tape.top[index] ?? 0)
            .map((value) => value.toFixed(1))
            .join(' '),
        )
        .join('L')}`;
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
