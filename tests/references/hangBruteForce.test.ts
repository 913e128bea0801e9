import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Board } from '@/core/hang/board';
import { hangFace } from '@/core/hang/hangFace';
import type { Face } from '@/core/room/faces/face';
import type { HangPlan } from '@/core/room/resolveHang';
import { plainWall } from '../houses/plainWall';

// The search is held against the dumbest possible one: every layout of a small face, costed from its boards alone.
// Units here are bays, so that everything can be counted by hand.
const BOARD = { width: 4, lengths: [6, 8] };
const PLAN: HangPlan = {
  boards: [BOARD],
  walls: 'across',
  ceiling: 'along',
  framing: 1,
  screws: { ceiling: 1, wall: 1 },
  aim: 'joints',
  backed: false,
  found: {},
};
const PRICES = { flat: 1, mixed: 1.5, butt: 10 };

interface SmallFace {
  readonly width: number;
  readonly height: number;
  readonly hole: { readonly u0: number; readonly u1: number; readonly v0: number; readonly v1: number } | undefined;
}

/** A unit stands for a metre, so that it is far above the tolerance and the 150 mm around corners is nothing. */
const METRE = 1000;

function faceOf({ width, height, hole }: SmallFace): Face {
  const windows = hole
    ? [[hole.u0, hole.u1, hole.v0, hole.v1].map((at) => at * METRE) as [number, number, number, number]]
    : [];
  return plainWall(width * METRE, height * METRE, windows);
}
const scaledPlan: HangPlan = {
  ...PLAN,
  framing: METRE,
  boards: [{ width: BOARD.width * METRE, lengths: BOARD.lengths.map((length) => length * METRE) }],
};

/** The butts of each course, in units. */
type Layout = readonly (readonly number[])[];

/** The stretches of each course that a hole through its whole breadth leaves. */
function stretchesOf({ width, height, hole }: SmallFace): readonly (readonly (readonly [number, number])[])[] {
  const courses = Math.ceil(height / BOARD.width);
  return Array.from({ length: courses }, (_, index) => {
    const [top, bottom] = [index * BOARD.width, Math.min(height, (index + 1) * BOARD.width)];
    if (!hole || hole.v0 > top || hole.v1 < bottom) return [[0, width]] as const;
    return (
      [
        [0, hole.u0],
        [hole.u1, width],
      ] as const
    ).filter(([from, to]) => to > from);
  });
}

/**
 * Every set of butts with no piece longer than a board, in the fewest pieces, and beside a hole in one more: two short
 * butts over it may be less work than a whole one.
 */
function setsFor([from, to]: readonly [number, number], more: number): Layout {
  const inside = Array.from({ length: to - from - 1 }, (_, index) => from + index + 1);
  const sets = Array.from({ length: 2 ** inside.length }, (_, mask) => inside.filter((_at, bit) => mask & (1 << bit)));
  const fits = sets.filter((set) =>
    [...set, to].every((stop, index) => stop - (index === 0 ? from : (set[index - 1] ?? from)) <= 8),
  );
  const fewest = Math.min(...fits.map((set) => set.length));
  return fits.filter((set) => set.length <= fewest + more);
}

function everyLayout(face: SmallFace): readonly Layout[] {
  return stretchesOf(face).reduce<readonly Layout[]>(
    (layouts, stretches) => {
      const choices = stretches.reduce<Layout>(
        (sets, stretch) => sets.flatMap((set) => setsFor(stretch, face.hole ? 1 : 0).map((more) => [...set, ...more])),
        [[]],
      );
      return layouts.flatMap((layout) => choices.map((choice) => [...layout, choice]));
    },
    [[]],
  );
}

/** Work of the butts, then butts over the sides of the hole, then pairs of butts under two bays apart. */
function costOf(face: SmallFace, layout: Layout): readonly number[] {
  const { hole, height } = face;
  let [work, corners, stagger] = [0, 0, 0];
  layout.forEach((butts, index) => {
    const [top, bottom] = [index * BOARD.width, Math.min(height, (index + 1) * BOARD.width)];
    for (const at of butts) {
      const missing =
        hole && at >= hole.u0 && at <= hole.u1 ? Math.max(0, Math.min(bottom, hole.v1) - Math.max(top, hole.v0)) : 0;
      work += PRICES.butt * (bottom - top - missing);
      if (hole && hole.v0 < bottom && hole.v1 > top) corners += [hole.u0, hole.u1].filter((side) => side === at).length;
      stagger += (layout[index - 1] ?? []).filter((other) => Math.abs(other - at) < 2).length;
    }
  });
  return [work, corners, stagger];
}

function layoutOf(boards: readonly Board[], face: SmallFace): Layout {
  const walls = stretchesOf(face);
  return walls.map((stretches, course) => {
    const ends = new Set(stretches.map(([, to]) => to));
    return boards.flatMap((board) =>
      board.course === course && !ends.has(Math.round(board.u1 / METRE)) ? [Math.round(board.u1 / METRE)] : [],
    );
  });
}

const compare = (a: readonly number[], b: readonly number[]): number => {
  const index = a.findIndex((part, at) => Math.abs(part - (b[at] ?? 0)) > 1e-9);
  return index < 0 ? 0 : (a[index] ?? 0) - (b[index] ?? 0);
};

const smallFace = fc
  .record({ width: fc.integer({ min: 5, max: 14 }), height: fc.integer({ min: 4, max: 12 }), holed: fc.boolean() })
  .chain(({ width, height, holed }) => {
    if (!holed) return fc.constant<SmallFace>({ width, height, hole: undefined });
    const lower = Math.min(height, 8);
    return fc
      .tuple(
        fc.integer({ min: 1, max: width - 3 }),
        fc.integer({ min: 1, max: 3 }),
        fc.integer({ min: 0, max: lower - 2 }),
        fc.integer({ min: 1, max: 8 }),
      )
      .map(
        ([u0, wide, v0, tall]): SmallFace => ({
          width,
          height: lower,
          hole: { u0, u1: Math.min(width - 1, u0 + wide), v0, v1: Math.min(lower, v0 + tall) },
        }),
      );
  });

describe('the hanging search on small faces', () => {
  it('is never dearer than the cheapest of all layouts', () => {
    fc.assert(
      fc.property(smallFace, (face) => {
        const found = layoutOf(
          hangFace(faceOf(face), scaledPlan, { long: ['u'], searchStart: false, byLegs: false }, PRICES),
          face,
        );
        const cheapest = everyLayout(face)
          .map((layout) => costOf(face, layout))
          .reduce((a, b) => (compare(b, a) < 0 ? b : a));
        expect(costOf(face, found)).toEqual(cheapest);
      }),
      { numRuns: 300 },
    );
  });
});
