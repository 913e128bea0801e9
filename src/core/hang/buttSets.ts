import type { Span } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';

/** More sets of butts than this in one course are not compared; the first ones found are kept. */
const MOST_SETS = 400;

/**
 * Every way to break one uninterrupted stretch of a course into as few boards as it takes, with all butts on framing.
 *
 * @param stretch mm along the course
 * @param longest the longest board, mm
 * @param framing spacing of the framing from coordinate 0, mm; a board must reach from one member to the next
 * @returns lists of butt positions in order; one empty list when a single board spans the stretch
 */
export function buttSets(stretch: Span, longest: number, framing: number): readonly (readonly number[])[] {
  if (stretch.to - stretch.from <= longest + TOLERANCE_MM) return [[]];
  const members = membersIn(stretch, framing);
  const fewest = fewestButts(stretch, members, longest);
  const sets: number[][] = [];
  const extend = (butts: readonly number[], from: number) => {
    if (sets.length >= MOST_SETS) return;
    const left = fewest - butts.length;
    if (left === 0) {
      if (stretch.to - from <= longest + TOLERANCE_MM) sets.push([...butts]);
      return;
    }
    for (const member of members) {
      if (member <= from + TOLERANCE_MM) continue;
      if (member - from > longest + TOLERANCE_MM) break;
      // What remains must still be within reach of the boards that remain.
      if (stretch.to - member <= left * longest + TOLERANCE_MM) extend([...butts, member], member);
    }
  };
  extend([], stretch.from);
  return sets;
}

function membersIn(stretch: Span, framing: number): readonly number[] {
  const first = Math.floor((stretch.from + TOLERANCE_MM) / framing) + 1;
  const last = Math.ceil((stretch.to - TOLERANCE_MM) / framing) - 1;
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, index) => (first + index) * framing);
}

function fewestButts(stretch: Span, members: readonly number[], longest: number): number {
  let butts = 0;
  let from = stretch.from;
  while (stretch.to - from > longest + TOLERANCE_MM) {
    const reach = members.findLast((member) => member <= from + longest + TOLERANCE_MM && member > from + TOLERANCE_MM);
    if (reach === undefined) throw new RangeError('no framing member is within a board of the last one');
    from = reach;
    butts += 1;
  }
  return butts;
}
