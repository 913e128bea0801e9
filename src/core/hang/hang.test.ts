import { describe, expect, it } from 'vitest';
import { plainWall } from '../../../tests/houses/plainWall';
import type { Face } from '../room/faces/face';
import { resolveHang } from '../room/resolveHang';
import { cheapestButts } from './buttSets';
import { courseNet, turnedNet } from './courses';
import { hangFace } from './hangFace';
import { sheetsFor } from './sheetsFor';

const IN = 25.4;
const PLAN = resolveHang({ unit: 'in', hang: {} }, {});
const ACROSS = { long: ['u'], searchStart: false, byLegs: false } as const;

const wall = (
  width: number,
  height: number,
  holes: readonly (readonly [number, number, number, number])[] = [],
): Face =>
  plainWall(
    width * IN,
    height * IN,
    holes.map(([u0, u1, v0, v1]) => [u0 * IN, u1 * IN, v0 * IN, v1 * IN] as const),
  );
const inches = (mm: number) => Math.round((mm / IN) * 1000) / 1000;
const buttsOf = (face: Face, plan = PLAN) =>
  hangFace(face, plan, ACROSS).flatMap(({ course, u1 }) =>
    inches(u1) < inches(face.width) ? [[course, inches(u1)] as const] : [],
  );

describe('courses', () => {
  it('start full at the top and put the rip at the floor, its taper toward the seam', () => {
    const courses = hangFace(wall(144, 108), PLAN, ACROSS);
    expect(courses.map(({ v0, v1, lowEdge, highEdge }) => [inches(v0), inches(v1), lowEdge, highEdge])).toEqual([
      [0, 48, 'tapered', 'tapered'],
      [48, 96, 'tapered', 'tapered'],
      [96, 108, 'tapered', 'square'],
    ]);
  });

  it('of a ceiling may start at the far side, where the rip then comes first', () => {
    const across = { from: 0, to: 120 * IN };
    const courses = turnedNet(courseNet(across, PLAN.boards), across).from.flat();
    expect(courses.map(({ course: { t0, t1, lowEdge } }) => [inches(t0), inches(t1), lowEdge])).toEqual([
      [0, 24, 'square'],
      [24, 72, 'tapered'],
      [72, 120, 'tapered'],
    ]);
  });

  it('take two 54 in boards for a 9 ft wall when there are such boards', () => {
    const wide = { ...PLAN, boards: [...PLAN.boards, { width: 54 * IN, lengths: [144 * IN] }] };
    expect(hangFace(wall(144, 108), wide, ACROSS).map(({ v1 }) => inches(v1))).toEqual([54, 108]);
  });

  it('are one strip lengthwise on a face narrower than a board, with no taper left', () => {
    const boards = hangFace(wall(24, 96), PLAN, ACROSS);
    expect(boards).toHaveLength(1);
    expect(boards[0]).toMatchObject({ long: 'v', lowEdge: 'square', highEdge: 'square' });
  });
});

describe('butts', () => {
  it('of a 20 ft wall are one per course, on framing, at least two bays apart', () => {
    const butts = buttsOf(wall(240, 96));
    expect(butts).toHaveLength(2);
    for (const [, at] of butts) expect(at % 16).toBe(0);
    expect(Math.abs((butts[0]?.[1] ?? 0) - (butts[1]?.[1] ?? 0))).toBeGreaterThanOrEqual(32);
  });

  const EVEN = { butt: () => 1, piece: () => 0 };

  it('never stand farther apart than a board is long', () => {
    for (const set of cheapestButts({ from: 0, to: 480 * IN }, 144 * IN, 16 * IN, EVEN)) {
      const stops = [0, ...set, 480 * IN];
      for (const [index, stop] of stops.slice(1).entries())
        expect(stop - (stops[index] ?? 0)).toBeLessThanOrEqual(144 * IN + 0.01);
    }
  });

  it('number all the cheapest ways to break a stretch: 30 bays into four boards of at most nine is 84', () => {
    // Counted by hand: the six bays that four boards fall short of 36 are shared out among four: (6+3 over 3) = 84.
    expect(cheapestButts({ from: 0, to: 480 * IN }, 144 * IN, 16 * IN, EVEN)).toHaveLength(84);
  });

  it('go over a window where they are short, and off its corners', () => {
    // A window from 100 to 140 in, 12 in below the ceiling, 60 in tall: over it a butt is 12 in instead of 48.
    const butts = buttsOf(wall(240, 96, [[100, 140, 12, 72]]));
    const first = butts.find(([course]) => course === 0)?.[1] ?? 0;
    expect(first).toBeGreaterThan(105);
    expect(first).toBeLessThan(135);
  });

  it('are none beside a door that cuts the course in two short pieces', () => {
    const butts = buttsOf(wall(240, 96, [[104, 136, 16, 96]])).filter(([course]) => course === 1);
    // The piece left of the door ends at the door, not in a butt.
    expect(butts).toEqual([[1, 104]]);
  });
});

describe('sheets', () => {
  it('use a rip’s other half where its one taper will do', () => {
    const boards = hangFace(wall(96, 72), PLAN, ACROSS);
    expect(boards.map(({ v1, v0 }) => inches(v1 - v0))).toEqual([48, 24]);
    const twice = [...boards, ...boards];
    expect(sheetsFor(twice).map(({ width, length, count }) => [inches(width), inches(length), count])).toEqual([
      [48, 96, 3],
    ]);
  });

  it('cover at least what is boarded', () => {
    for (const width of [30, 97, 144, 200, 391]) {
      const boards = hangFace(wall(width, 96), PLAN, ACROSS);
      const bought = sheetsFor(boards).reduce((sum, sheet) => sum + sheet.width * sheet.length * sheet.count, 0);
      expect(bought).toBeGreaterThanOrEqual(width * 96 * IN * IN - 1);
    }
  });
});
