import { merged, overlaps, type Span } from './span';
import { TOLERANCE_MM } from './unit';
import type { Loop, Point } from './vector';

/** Whether a point lies inside loops; on the rim it may be either. */
export function isInside([u, v]: Point, loops: readonly Loop[]): boolean {
  return crossings(loops, 'v', v, 1).filter((at) => at < u).length % 2 === 1;
}

/** Which coordinate a straight line keeps: a line of constant `u` stands, a line of constant `v` lies. */
export type Axis = 'u' | 'v';

/**
 * Where a line runs through an area with area on both of its sides: stretches along its rim are left out.
 *
 * @param axis the coordinate that is constant on the line
 * @example chordsAt([rectangle(0, 10, 0, 5)], 'v', 2)  // [{ from: 0, to: 10 }]
 */
export function chordsAt(loops: readonly Loop[], axis: Axis, at: number): readonly Span[] {
  const after = paired(crossings(loops, axis, at, 1));
  return touchesCorner(loops, axis === 'u' ? 0 : 1, at)
    ? overlaps(after, paired(crossings(loops, axis, at, -1)))
    : after;
}

function touchesCorner(loops: readonly Loop[], across: 0 | 1, at: number): boolean {
  for (const loop of loops) {
    for (const point of loop) if (Math.abs(point[across] - at) <= TOLERANCE_MM) return true;
  }
  return false;
}

/** Where the edges that lead to one side of a line start on it, in order. */
function crossings(loops: readonly Loop[], axis: Axis, at: number, side: 1 | -1): readonly number[] {
  const across = axis === 'u' ? 0 : 1;
  const along = 1 - across;
  const found: number[] = [];
  // Plain loops: no line of boards or screws is laid without this.
  for (const loop of loops) {
    let last = loop[loop.length - 1];
    for (const point of loop) {
      if (!last) break;
      const a = last[across] - at;
      const b = point[across] - at;
      const beyondA = side * a > TOLERANCE_MM;
      if (beyondA !== side * b > TOLERANCE_MM) {
        const near = beyondA ? b : a;
        const part = Math.abs(near) <= TOLERANCE_MM ? (beyondA ? 1 : 0) : a / (a - b);
        const start = last[along] ?? 0;
        insert(found, start + ((point[along] ?? 0) - start) * part);
      }
      last = point;
    }
  }
  return found;
}

/** Puts a number where it belongs in a short list in order. */
function insert(sorted: number[], value: number): void {
  let index = sorted.push(value) - 1;
  for (; index > 0 && (sorted[index - 1] ?? 0) > value; index -= 1) sorted[index] = sorted[index - 1] ?? 0;
  sorted[index] = value;
}

function paired(stops: readonly number[]): readonly Span[] {
  const spans: Span[] = [];
  for (let index = 1; index < stops.length; index += 2) {
    const [from, to] = [stops[index - 1] ?? 0, stops[index] ?? 0];
    const last = spans.at(-1);
    if (to - from <= TOLERANCE_MM) continue;
    if (last && from - last.to <= TOLERANCE_MM) spans[spans.length - 1] = { from: last.from, to };
    else spans.push({ from, to });
  }
  return spans;
}

/**
 * How far an area reaches along a band between two lines, wherever in the band: what a row of boards has to cover.
 *
 * @param axis the coordinate that bounds the band
 */
export function reachIn(loops: readonly Loop[], axis: Axis, from: number, to: number): readonly Span[] {
  const across = axis === 'u' ? 0 : 1;
  const stops = [from, to];
  for (const loop of loops) {
    for (const point of loop) {
      const at = point[across];
      if (at > from + TOLERANCE_MM && at < to - TOLERANCE_MM && !stops.includes(at)) stops.push(at);
    }
  }
  stops.sort((a, b) => a - b);
  const reached: Span[] = [];
  for (let index = 1; index < stops.length; index += 1) {
    const [low, high] = [stops[index - 1] ?? from, stops[index] ?? to];
    if (high - low <= TOLERANCE_MM) continue;
    const [start, end] = [crossings(loops, axis, low, 1), crossings(loops, axis, high, -1)];
    for (let pair = 1; pair < Math.min(start.length, end.length); pair += 2) {
      const left = Math.min(start[pair - 1] ?? 0, end[pair - 1] ?? 0);
      const right = Math.max(start[pair] ?? 0, end[pair] ?? 0);
      if (right - left > TOLERANCE_MM) reached.push({ from: left, to: right });
    }
  }
  return reached.length > 1 ? merged(reached) : reached;
}
