import type { Span } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';
import { addCosts, compareCosts, type RankedCost } from './cost';

/** More sets of butts than this in one stretch are not compared; the first ones found are kept. */
const MOST_SETS = 200;

/** What breaking a stretch costs, part by part; all costs of one call have the same ranks. */
export interface BreakCosts {
  readonly butt: (at: number) => RankedCost;
  readonly piece: (from: number, to: number) => RankedCost;
  readonly nothing: RankedCost;
}

/**
 * Every cheapest way to break one uninterrupted stretch of a course into boards, with all butts on framing: the
 * shortest paths from its start to its end over the members between.
 *
 * @param stretch mm along the course
 * @param longest the longest board, mm
 * @param framing spacing of the framing from coordinate 0, mm; a board must reach from one member to the next
 * @returns lists of butt positions in order; one empty list when a single board does best
 */
export function cheapestButts(
  stretch: Span,
  longest: number,
  framing: number,
  costs: BreakCosts,
): readonly (readonly number[])[] {
  const stops = [stretch.from, ...membersIn(stretch, framing), stretch.to];
  const last = stops.length - 1;
  // The cheapest way from each stop to the end, found from the end backward, and the next stops that begin one.
  const rest: RankedCost[] = [];
  const onward: (readonly number[])[] = [];
  rest[last] = costs.nothing;
  for (let index = last - 1; index >= 0; index -= 1) {
    const from = stops[index] ?? 0;
    let best: RankedCost | undefined;
    let next: number[] = [];
    for (let to = index + 1; to <= last && (stops[to] ?? 0) - from <= longest + TOLERANCE_MM; to += 1) {
      const after = rest[to];
      if (!after) continue;
      const piece = addCosts(costs.piece(from, stops[to] ?? 0), after);
      const cost = to === last ? piece : addCosts(costs.butt(stops[to] ?? 0), piece);
      const better = best ? compareCosts(cost, best) : -1;
      if (better < 0) {
        best = cost;
        next = [to];
      } else if (better === 0) next.push(to);
    }
    if (best) rest[index] = best;
    onward[index] = next;
  }
  if (!rest[0]) throw new RangeError('no framing member is within a board of the last one');
  const sets: (readonly number[])[] = [];
  const walk = (butts: readonly number[], index: number) => {
    if (sets.length >= MOST_SETS) return;
    if (index === last) sets.push(butts);
    else for (const to of onward[index] ?? []) walk(to === last ? butts : [...butts, stops[to] ?? 0], to);
  };
  walk([], 0);
  return sets;
}

function membersIn(stretch: Span, framing: number): readonly number[] {
  const first = Math.floor((stretch.from + TOLERANCE_MM) / framing) + 1;
  const last = Math.ceil((stretch.to - TOLERANCE_MM) / framing) - 1;
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, index) => (first + index) * framing);
}
