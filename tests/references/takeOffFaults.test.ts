import { describe, expect, it } from 'vitest';
import type { Board } from '@/core/hang/board';
import { sheetsFor } from '@/core/hang/sheetsFor';
import { inchesOf } from '../houses/fileRooms';

// Worked by hand, in inches, as in takeOffCases: the plain room is 144 × 120 × 96, its angles 912 in 8 edges, its walls'
// flats 528 in four, its ceiling's 288 in two.
const L = [
  [0, 0],
  [211, 0],
  [211, 77],
  [139, 77],
  [139, 135],
  [0, 135],
];
const lengthOf = (found: readonly [number, number] | undefined) => found?.[0] ?? 0;

describe('soffits', () => {
  it('end with their wall at an outside corner, and run on to the next wall at an inside one', () => {
    const soffit = { wall: 2, from: 0, to: 72, depth: 10, drop: 9 };
    const { classes } = inchesOf({ outline: L, height: 90, soffits: [soffit] });
    // Angles: walls under the ceiling 211 + (77 − 10) + 58 + 139 + 135, under the soffit 10 + 72, the soffit's front
    // under the ceiling 72 and on wall 1 9, uprights 90 × 4 + 81. Beads: the corner under the soffit 81, its front 72.
    expect(classes.angle?.[0]).toBe(211 + 67 + 58 + 139 + 135 + 10 + 72 + 72 + 9 + 4 * 90 + 81);
    expect(classes.angle?.[0]).toBe(1214);
    expect(classes.bead).toEqual([81 + 72, 2]);
  });

  it('that touch at a corner only are two, each ending with its wall', () => {
    const at = (wall: number, to: number) => ({ wall, from: 0, to, depth: 10, drop: 9 });
    const both = inchesOf({ outline: L, height: 90, soffits: [at(2, 72), at(3, 58)] });
    const faces = both.result.faces.map(({ face }) => face.id).filter((id) => id.endsWith('.bottom'));
    expect(faces).toEqual(['s0.bottom', 's1.bottom']);
  });

  it('that run round a corner are hung leg by leg: one joint where the legs meet', () => {
    const soffits = [
      { wall: 0, from: 0, to: 144, depth: 24, drop: 12 },
      { wall: 1, from: 0, to: 120, depth: 24, drop: 12 },
    ];
    const { classes, result } = inchesOf({ soffits });
    const bottom = result.faces.find(({ face }) => face.id === 's0.bottom');
    expect(bottom?.boards).toHaveLength(2);
    // The strip that runs through keeps a taper, the other ends square against it.
    expect(classes.mixed).toEqual([24, 1]);
    expect(classes.butt).toBeUndefined();
  });
});

describe('walls', () => {
  it('drawn in many small turns are a bend all the same', () => {
    // A quarter circle of 100 turns of 0.9°, each too small to be a corner by itself; with the last corner they add up.
    const arc = Array.from({ length: 100 }, (_, index): [number, number] => {
      const angle = (Math.PI / 2) * ((index + 1) / 100);
      return [200 + 200 * Math.sin(angle), 200 - 200 * Math.cos(angle)];
    });
    const { result } = inchesOf({ outline: [[0, 0], [200, 0], ...arc, [400, 400], [0, 400]] });
    const walls = result.faces.filter(({ face }) => face.kind === 'wall');
    expect(walls.length).toBeGreaterThan(30);
    const turned = walls.map(({ face }) => Math.atan2(face.u[1], face.u[0]) * (180 / Math.PI));
    // Every wall turns by about two steps from the one before, none by the whole quarter.
    expect(Math.max(...turned.slice(1, -3).map((turn, index) => turn - (turned[index] ?? 0)))).toBeLessThan(3);
  });

  it('within a degree of one line are one wall still', () => {
    const bent = [
      [0, 0],
      [72, 0.5],
      [144, 0],
      [144, 120],
      [0, 120],
    ];
    expect(inchesOf({ outline: bent }).result.faces.filter(({ face }) => face.kind === 'wall')).toHaveLength(4);
  });
});

describe('niches and openings', () => {
  it('a niche that starts at the floor has no board on it', () => {
    const niche = { wall: 0, at: 40, bottom: 0, width: 36, height: 24, depth: 8 };
    const { classes, area, tally } = inchesOf({ niches: [niche] });
    // Beads up both sides and over it; inside, the back meets both sides and the top, the top both sides.
    expect(classes.bead).toEqual([24 + 36 + 24, 3]);
    expect(classes.angle).toEqual([912 + 2 * 24 + 36 + 2 * 8, 13]);
    expect(area).toBe(67_968 + 2 * 24 * 8 + 36 * 8);
    expect(tally.threeWays).toBe(4 + 2);
  });

  it('an opening with beads in an old wall counts as a niche there does', () => {
    const window = { wall: 0, kind: 'window', at: 40, width: 36, height: 48, sill: 30, edge: 'bead', depth: 6 };
    const { classes, area } = inchesOf({ existing: [0], openings: [window] });
    expect(classes.bead).toEqual([2 * 36 + 2 * 48, 4]);
    expect(area).toBe(144 * 120 + (120 + 144 + 120) * 96 + 6 * (2 * 36 + 2 * 48));
  });
});

describe('zones', () => {
  const flats = (zones: object[], more: object = {}) =>
    lengthOf(inchesOf({ hang: { ceiling: 'along' }, zones, ...more }).classes.flat);
  const tile = { cover: 'tile', bottom: 0, top: 72 };
  const plain = 528 + 288;

  it('of one cover that touch are one: nothing is left between them', () => {
    const apart = [
      { ...tile, wall: 0, from: 0, to: 60 },
      { ...tile, wall: 0, from: 60, to: 144 },
    ];
    expect(flats(apart)).toBe(plain - 144);
    const stacked = [
      { ...tile, wall: 0, from: 0, to: 144, top: 48 },
      { ...tile, wall: 0, from: 0, to: 144, bottom: 48, top: 72 },
    ];
    expect(flats(stacked)).toBe(plain - 144);
  });

  it('leave 2 in along their own edge only', () => {
    expect(flats([{ ...tile, wall: 0, from: 0, to: 60 }])).toBe(plain - 58);
    expect(flats([{ ...tile, wall: 0, from: 20, to: 60 }])).toBe(plain - 36);
  });

  it('up to both jambs of a door leave nothing beside it', () => {
    const door = { wall: 0, kind: 'door', at: 56, width: 32, height: 80 };
    const beside = [
      { ...tile, wall: 0, from: 0, to: 56 },
      { ...tile, wall: 0, from: 88, to: 144 },
    ];
    expect(flats(beside, { openings: [door] })).toBe(plain - 144);
  });

  it('draw the butts under them, where they cost nothing', () => {
    const outline = [
      [0, 0],
      [240, 0],
      [240, 120],
      [0, 120],
    ];
    const all = { wall: 0, from: 100, to: 160, bottom: 0, top: 96, cover: 'tile' };
    const butts = (zones: object[]) => inchesOf({ outline, zones }).classes.butt;
    // Two 20 ft walls have two butts of 48 each; those of wall 0 go behind the tile.
    expect(butts([])).toEqual([192, 4]);
    expect(butts([all])).toEqual([96, 2]);
  });
});

describe('hanging', () => {
  it('with three widths finds the seams that add up to least, not the first that fill the wall', () => {
    const boards = [36, 48, 54].map((width) => ({ width, lengths: [96, 120, 144] }));
    const outline = [
      [0, 0],
      [540, 0],
      [540, 432],
      [0, 432],
    ];
    const { result } = inchesOf({ outline, hang: { boards, ceiling: 'along' } });
    const courses = (id: string) => {
      const found = result.faces.find(({ face }) => face.id === id)?.boards ?? [];
      return [...new Set(found.map(({ course, v1, v0 }) => `${course}: ${Math.round((v1 - v0) / 25.4)}`))].length;
    };
    // 432 is eight boards of 54: seven seams; by hand no row of these widths has fewer.
    expect(courses('c0')).toBe(8);
    expect(courses('w0')).toBe(2);
  });

  it('may start a ceiling with a rip, so that a seam lies in line with a step of the room', () => {
    // A cross: 96 broad but for a band of 240 from 30 to 78. Full boards from either side put a seam of 240 into the
    // band; after a rip of 30 both seams lie in line with its sides, where only 96 meet.
    const outline = [
      [72, 0],
      [168, 0],
      [168, 30],
      [240, 30],
      [240, 78],
      [168, 78],
      [168, 108],
      [72, 108],
      [72, 78],
      [0, 78],
      [0, 30],
      [72, 30],
    ];
    const { result } = inchesOf({ outline, hang: { ceiling: 'along', boards: [{ width: 48, lengths: [240] }] } });
    const ceiling = result.joints.filter(({ lines: [line], run }) => run === 'seam' && line?.face === 'c0');
    expect(ceiling.reduce((sum, { length }) => sum + length / 25.4, 0)).toBeCloseTo(96 + 96, 3);
  });
});

describe('sheets', () => {
  const board = (length: number, breadth = 48): Board => ({
    course: 0,
    u0: 0,
    u1: length * 25.4,
    v0: 0,
    v1: breadth * 25.4,
    long: 'u',
    lowEdge: 'tapered',
    highEdge: breadth === 48 ? 'tapered' : 'square',
    backed: false,
    stock: { width: 48 * 25.4, lengths: [96, 120, 144].map((inches) => inches * 25.4) },
  });
  const sheets = (boards: readonly Board[], aim: 'joints' | 'boards' = 'joints') =>
    sheetsFor(boards, aim).map(({ length, count }) => [Math.round(length / 25.4), count]);

  it('are cut together: an 88 and a 24 in piece come from one 10 ft sheet', () => {
    expect(sheets([board(88), board(24)])).toEqual([[120, 1]]);
  });

  it('give two rips each its taper, and a third one none', () => {
    expect(sheets([board(96, 12), board(96, 12)])).toEqual([[96, 1]]);
    expect(sheets([board(96, 12), board(96, 12), board(96, 12)])).toEqual([[96, 2]]);
  });

  it('are fewest where sheets are counted: six of 70 come from three of 12 ft', () => {
    expect(
      sheets(
        Array.from({ length: 6 }, () => board(70)),
        'boards',
      ),
    ).toEqual([[144, 3]]);
  });
});
