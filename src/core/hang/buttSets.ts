import type { Span } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';

/** More sets of butts than this in one stretch are not compared; the first ones found are kept. */
const MOST_SETS = 120;

/** What breaking a stretch costs: whole numbers that add up, see `wholeCost`. */
export interface BreakCosts {
  readonly butt: (at: number) => number;
  /** By the length of the piece. */
  readonly piece: (length: number) => number;
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
  const butts = stops.map((at, index) => (index === 0 || index === last ? 0 : costs.butt(at)));
  // The cheapest way from each stop to the end, found from the end backward, and the next stops that begin one.
  const rest: number[] = [];
  const onward: (readonly number[])[] = [];
  rest[last] = 0;
  for (let index = last - 1; index >= 0; index -= 1) {
    const from = stops[index] ?? 0;
    let best = Infinity;
    let next: number[] = [];
    for (let to = index + 1; to <= last; to += 1) {
      const length = (stops[to] ?? 0) - from;
      if (length > longest + TOLERANCE_MM) break;
      const cost = costs.piece(length) + (butts[to] ?? 0) + (rest[to] ?? Infinity);
      if (cost < best) {
        best = cost;
        next = [to];
      } else if (cost === best && cost < Infinity) next.push(to);
    }
    rest[index] = best;
    onward[index] = next;
  }
  if (rest[0] === Infinity) throw new RangeError('no framing member is within a board of the last one');
  const sets: (readonly number[])[] = [];
  const walk = (chosen: readonly number[], index: number) => {
    if (sets.length >= MOST_SETS) return;
    if (index === last) sets.push(chosen);
    else for (const to of onward[index] ?? []) walk(to === last ? chosen : [...chosen, stops[to] ?? 0], to);
  };
  walk([], 0);
  return sets;
}

function membersIn(stretch: Span, framing: number): readonly number[] {
  const first = Math.floor((stretch.from + TOLERANCE_MM) / framing) + 1;
  const last = Math.ceil((stretch.to - TOLERANCE_MM) / framing) - 1;
  const members: number[] = [];
  for (let member = first; member <= last; member += 1) members.push(member * framing);
  return members;
}
