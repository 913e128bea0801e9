import { upperHull } from './upperHull';

/** How a blade leaves mud. */
export interface Blade {
  /** How sharply it can bow down into a hollow, 1/mm: a stiff blade bridges where a soft one digs. */
  readonly bow: number;
  /** What it leaves under its middle, mm; nothing under its two ends. */
  readonly film: number;
}

/**
 * The surface that a blade leaves when it is drawn along a joint with its edge across it, both ends pressed down. It
 * bends over what stands proud, reaches into hollows only as far as it bows, and never lies below what is there: of all
 * surfaces that bow no more than it can, the lowest that clears what is there. With the bow taken out that is the
 * concave hull, found in one sweep.
 *
 * @param heights what is there, mm, at equal steps
 * @param first the step under one end of the blade
 * @param last the step under the other end
 * @param step mm between two heights
 * @returns the heights after the pass; outside the blade as they were
 * @example bladeSurface([0, -1, 0], 0, 2, 1, { bow: 0, film: 0 })  // [0, 0, 0]: a stiff blade bridges the hollow
 */
export function bladeSurface(
  heights: readonly number[],
  first: number,
  last: number,
  step: number,
  { bow, film }: Blade,
): readonly number[] {
  const middle = (first + last) / 2;
  const half = Math.max(1, (last - first) / 2);
  const bowed = (index: number) => (bow / 2) * ((index - middle) * step) ** 2;
  const straightened = (index: number) => (heights[index] ?? 0) - bowed(index);
  const hull = upperHull(straightened, first, last);
  const left = [...heights];
  let at = 0;
  for (let index = first; index <= last; index += 1) {
    while (at < hull.length - 2 && (hull[at + 1] ?? last) < index) at += 1;
    const [a, b] = [hull[at] ?? first, hull[at + 1] ?? hull[at] ?? first];
    const part = b === a ? 0 : (index - a) / (b - a);
    const edge = straightened(a) + (straightened(b) - straightened(a)) * part + bowed(index);
    const under = film * (1 - ((index - middle) / half) ** 2);
    left[index] = Math.max(heights[index] ?? 0, edge + under);
  }
  return left;
}
