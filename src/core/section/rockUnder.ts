import { upperHull } from './upperHull';

/** What a knife laid across a joint tells. */
export interface KnifeReading {
  /** How far one end lifts while the other is pressed down; mm. Nothing when the knife lies still. */
  readonly lift: number;
  /** How far what it rocks on stands proud: half of the lift where that is under the knife's middle. */
  readonly hump: number;
  /** The deepest gap under the knife while it lies on both sides of it, where light shows; mm, and where. */
  readonly gap: number;
  readonly gapAt: number;
}

/**
 * Lays a straight knife across a surface. It rests on the upper hull of what is under it: pressed down at its left end
 * it lies on the hull's first edge, at its right end on the last. Where those are the same it does not rock, and light
 * shows in the gaps between the points that it rests on.
 *
 * @param heights at equal steps, mm
 * @param from the place of the first height, mm
 * @param length of the knife, mm
 * @param centre where its middle is laid, mm
 * @example rockUnder(humpOf1mm, -152, 4, 305, 0)  // lift 2, hump 1
 */
export function rockUnder(
  heights: readonly number[],
  from: number,
  step: number,
  length: number,
  centre: number,
): KnifeReading {
  const first = Math.max(0, Math.round((centre - length / 2 - from) / step));
  const last = Math.min(heights.length - 1, Math.round((centre + length / 2 - from) / step));
  const height = (index: number) => heights[index] ?? 0;
  const hull = upperHull(height, first, last);
  const lineThrough = (a: number, b: number, at: number) => height(a) + ((height(b) - height(a)) * (at - a)) / (b - a);
  const [start, second, beforeLast, end] = [
    hull[0] ?? first,
    hull[1] ?? last,
    hull.at(-2) ?? first,
    hull.at(-1) ?? last,
  ];
  const lift = Math.max(
    lineThrough(start, second, last) - height(last),
    lineThrough(beforeLast, end, first) - height(first),
    0,
  );
  const chord = (at: number) => lineThrough(first, last, at);
  let hump = 0;
  for (const at of hull) hump = Math.max(hump, height(at) - chord(at));
  let [gap, gapAt] = [0, centre];
  for (let edge = 1; edge < hull.length; edge += 1) {
    const [a, b] = [hull[edge - 1] ?? first, hull[edge] ?? last];
    for (let at = a + 1; at < b; at += 1) {
      const deep = lineThrough(a, b, at) - height(at);
      if (deep > gap) [gap, gapAt] = [deep, from + at * step];
    }
  }
  return { lift, hump, gap, gapAt };
}
