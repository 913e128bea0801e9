import type { Span } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';
import { addCosts, compareCosts, type RankedCost } from './cost';

/** More sets of butts than this in one stretch are not compared; the first ones found are kept. */
const MOST_SETS = 200;

/** What breaking a stretch costs, part by part; all costs of one call have the same ranks. */
export interface BreakCosts {
  readonly butt: (at: number) => RankedCost;
  readonly piece: (from: number, to: number) => RankedCost;
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
  // The cheapest way from each stop to the end, found from the end backward.
  const rest: (RankedCost | undefined)[] = [];
  const costOf = (index: number, next: number): RankedCost | undefined => {
    const [from, to, after] = [stops[index] ?? 0, stops[next] ?? 0, rest[next]];
    if (!after) return undefined;
    const piece = addCosts(costs.piece(from, to), after);
    return next === last ? piece : addCosts(costs.butt(to), piece);
  };
  const reach = (index: number): readonly number[] => {
    const within: number[] = [];
    for (let next = index + 1; next <= last; next += 1) {
      if ((stops[next] ?? 0) - (stops[index] ?? 0) > longest + TOLERANCE_MM) break;
      within.push(next);
    }
    return within;
  };
  rest[last] = costs.piece(stretch.to, stretch.to).map(() => 0);
  for (let index = last - 1; index >= 0; index -= 1) {
    for (const next of reach(index)) {
      const cost = costOf(index, next);
      const best = rest[index];
      if (cost && (!best || compareCosts(cost, best) < 0)) rest[index] = cost;
    }
  }
  if (!rest[0]) throw new RangeError('no framing member is within a board of the last one');
  const sets: (readonly number[])[] = [];
  const walk = (butts: readonly number[], index: number) => {
    if (sets.length >= MOST_SETS) return;
    if (index === last) {
      sets.push(butts);
      return;
    }
    for (const next of reach(index)) {
      const [cost, best] = [costOf(index, next), rest[index]];
      if (cost && best && compareCosts(cost, best) === 0)
        walk(next === last ? butts : [...butts, stops[next] ?? 0], next);
    }
  };
  walk([], 0);
  return sets;
}

function membersIn(stretch: Span, framing: number): readonly number[] {
  const first = Math.floor((stretch.from + TOLERANCE_MM) / framing) + 1;
  const last = Math.ceil((stretch.to - TOLERANCE_MM) / framing) - 1;
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, index) => (first + index) * framing);
}
