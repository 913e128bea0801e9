import { describe, expect, it } from 'vitest';
import { inchesOf } from '../houses/fileRooms';
import { L } from '../houses/outlines';

// Worked by hand, in inches. The room is 144 × 120 × 96 unless an outline is given; boards 48 wide up to 144, across on
// walls, ceiling along wall 0. Each row: what is different, then [length, count] of the classes that it decides, the
// board's area, three-ways, and how the numbers come about.
// Plain: angle 4·96 + 528 = 912 in 8 edges; board 144·120 + 528·96 = 67,968; three-ways 4.
interface Case {
  readonly name: string;
  readonly room: object;
  readonly classes: Readonly<Record<string, readonly [length: number, count: number] | undefined>>;
  readonly area?: number;
  readonly threeWays?: number;
  readonly profiles?: Readonly<Record<string, readonly [number, number]>>;
}
const root2 = Math.SQRT2;
const round = (value: number) => Math.round(value * 1000) / 1000;

const CASES: readonly Case[] = [
  {
    // Six walls: five inside corners, one outside. Level 960. Board 240² − 120² on top, 960·96 around.
    name: 'an L of 20 ft legs',
    room: {
      outline: L,
    },
    classes: { angle: [960 + 5 * 96, 11], bead: [96, 1], offAngle: undefined },
    area: 240 * 240 - 120 * 120 + 960 * 96,
    threeWays: 5,
  },
  {
    // A bay: two walls at 45° of 24·√2 turn wall 0's side out. Corners of 135° are off-angles; two outside ones as well.
    name: 'a room with a bay',
    room: {
      outline: [
        [0, 0],
        [36, 0],
        [60, -24],
        [84, -24],
        [108, 0],
        [144, 0],
        [144, 120],
        [0, 120],
      ],
    },
    classes: {
      // Uprights of 90° at four corners; the level edges of all eight walls.
      angle: [round(4 * 96 + 36 + 24 * root2 + 24 + 24 * root2 + 36 + 120 + 144 + 120), 4 + 8],
      // Inside 135° at the bay's two outer corners; outside 225° where it leaves the wall.
      offAngle: [2 * 96, 2],
      bead: [2 * 96, 2],
    },
    area: round(144 * 120 + (24 * (72 + 24)) / 2 + (36 + 24 * root2 + 24 + 24 * root2 + 36 + 120 + 144 + 120) * 96),
    threeWays: 6,
    profiles: { flexible: [192, 2] },
  },
  {
    // Rise 50 over 120: slope 130. Walls 1 and 3 are 96 to 146 high. Eaves and top are not square.
    name: 'a shed ceiling',
    room: { ceiling: { shape: 'shed', low: 0, rise: 50 } },
    classes: { angle: [2 * 96 + 2 * 146 + 2 * 130, 6], offAngle: [2 * 144, 2], bead: undefined },
    area: 144 * 96 + 144 * 146 + 2 * 120 * 121 + 144 * 130,
    threeWays: 4,
  },
  {
    // Rise 80 over half of 120: rafters of 100. The ridge is an off-angle; it ends in two three-ways.
    name: 'a gable ceiling',
    room: { ceiling: { shape: 'gable', eaves: [0, 2], rise: 80 } },
    classes: { angle: [4 * 96 + 4 * 100, 8], offAngle: [3 * 144, 3] },
    area: 2 * 144 * 96 + 2 * (120 * 96 + 60 * 80) + 2 * 144 * 100,
    threeWays: 6,
  },
  {
    // The slope runs 48 in along the floor and 48 up: 48·√2 long. Flat ceiling 72 deep.
    name: 'a knee wall',
    room: { ceiling: { shape: 'knee', eaves: [0], knee: 48, run: 48 } },
    classes: {
      angle: [round(2 * 48 + 2 * 96 + 144 + 2 * 72 + 2 * 48 * root2), 9],
      offAngle: [2 * 144, 2],
    },
    area: round(144 * 48 + 144 * 96 + 2 * (120 * 96 - (48 * 48) / 2) + 144 * 72 + 144 * 48 * root2),
    threeWays: 6,
  },
  {
    // Inner ceiling 96 × 72, 10 up: a bead round the rim, an inside angle round the top, four uprights.
    name: 'a tray ceiling',
    room: { ceiling: { shape: 'tray', inset: 24, rise: 10 } },
    classes: { bead: [336, 4], angle: [912 + 336 + 4 * 10, 16], offAngle: undefined },
    area: 67968 + 336 * 10,
    threeWays: 8,
  },
  {
    name: 'no ceiling',
    room: { ceiling: { shape: 'open' } },
    classes: { angle: [4 * 96, 4], bead: undefined },
    area: 528 * 96,
    threeWays: 0,
  },
  {
    // From wall to wall: the wall behind, the ceiling above and 24 × 12 of both side walls are hidden.
    // Uprights 2·84 + 2·96; ceiling 96 + 144 + 96 + 144; underside 24 + 144 + 24; the front's ends 2·12.
    name: 'a soffit from wall to wall',
    room: { soffits: [{ wall: 0, from: 0, to: 144, depth: 24, drop: 12 }] },
    classes: { bead: [144, 1], angle: [2 * 84 + 2 * 96 + 480 + 192 + 24, 13] },
    area: 67968 - 2 * 24 * 12,
    threeWays: 6,
  },
  {
    // Free at both ends: beads 76 + 2·24 level and 2·12 upright. The wall's top is left and right of it, its underside below.
    name: 'a soffit that ends in the room',
    room: { soffits: [{ wall: 0, from: 24, to: 100, depth: 24, drop: 12 }] },
    classes: { bead: [76 + 48 + 24, 5], angle: [912 + 2 * 24 + 76 + 2 * 12, 15] },
    area: 67968 + 2 * 24 * 12,
    threeWays: 6,
  },
  {
    // Two soffits make one body: fronts of 120 and 96 meet inside, so their corner is an angle of 12.
    name: 'soffits round a corner',
    room: {
      soffits: [
        { wall: 0, from: 0, to: 144, depth: 24, drop: 12 },
        { wall: 1, from: 0, to: 120, depth: 24, drop: 12 },
      ],
    },
    classes: {
      bead: [120 + 96, 2],
      // Uprights 3·84 + 96; ceiling 120 + 96 + 120 + 96; underside 144 + 24 + 120 + 24; fronts 3·12.
      angle: [3 * 84 + 96 + 432 + 312 + 36, 15],
    },
    threeWays: 7,
  },
  {
    // Front bead 120 round; behind it the back's 120 and four corners of 8.
    name: 'a niche',
    room: { niches: [{ wall: 2, at: 40, bottom: 40, width: 36, height: 24, depth: 8 }] },
    classes: { bead: [120, 4], angle: [912 + 120 + 4 * 8, 16] },
    area: 67968 + 120 * 8,
    threeWays: 8,
  },
  {
    // A shelf of 2 1/2 leaves two compartments of 10 3/4; its front stays a strip of the wall.
    name: 'a niche with a shelf',
    room: { niches: [{ wall: 2, at: 40, bottom: 40, width: 36, height: 24, depth: 8, shelves: 1 }] },
    classes: { bead: [4 * 36 + 4 * 10.75, 8], angle: [912 + 4 * 36 + 4 * 10.75 + 8 * 8, 24] },
    area: 67968 + (4 * 36 + 4 * 10.75) * 8,
    threeWays: 12,
  },
  {
    // Four outside corners from floor to ceiling, four inside edges on top; 36 in² less ceiling.
    name: 'a column',
    room: {
      columns: [
        [
          [60, 60],
          [60, 66],
          [66, 66],
          [66, 60],
        ],
      ],
    },
    classes: { bead: [4 * 96, 4], angle: [912 + 24, 12] },
    area: 67968 + 24 * 96 - 36,
    threeWays: 4,
  },
  {
    // Wall 3's three inside edges are joints to existing: two uprights and 120 level; its board is old.
    name: 'an old wall',
    room: { existing: [3] },
    classes: { existing: [2 * 96 + 120, 3], angle: [912 - 312, 5] },
    area: 67968 - 120 * 96,
    threeWays: 4,
  },
  {
    name: 'two old walls that meet',
    room: { existing: [2, 3] },
    classes: { existing: [2 * 96 + 144 + 120, 4], angle: [96 + 264, 3] },
  },
  {
    // A half circle: arc π·18; jambs from the floor to the springing at 66. It runs into the jambs without an angle.
    name: 'a round arch with a boarded return',
    room: {
      openings: [
        { wall: 0, kind: 'opening', at: 54, width: 36, height: 84, head: { arch: 18 }, edge: 'bead', depth: 6 },
      ],
    },
    classes: { bead: [round(2 * 66 + Math.PI * 18), 3], angle: [912, 8], offAngle: undefined },
    area: round(67968 - (36 * 66 + (Math.PI * 18 * 18) / 2) + 6 * (2 * 66 + Math.PI * 18)),
    profiles: { square: [132, 2], arch: [round(Math.PI * 18), 1] },
  },
  {
    // A flat arch of rise 9 over 36: radius 22.5, half angle asin(18/22.5); off-angles of 6 where it meets the jambs.
    name: 'a flat arch with a boarded return',
    room: {
      openings: [
        { wall: 0, kind: 'opening', at: 54, width: 36, height: 84, head: { arch: 9 }, edge: 'bead', depth: 6 },
      ],
    },
    classes: { bead: [round(2 * 75 + 45 * Math.asin(0.8)), 3], offAngle: [2 * 6, 2] },
  },
  {
    // The flat at 48 stops 2 in inside the tile, the corner's angle 2 in below its top: hidden 58 + 58 and 70.
    name: 'tile into a corner',
    room: {
      zones: [
        { wall: 0, from: 0, to: 60, bottom: 0, top: 72, cover: 'tile' },
        { wall: 3, from: 60, to: 120, bottom: 0, top: 72, cover: 'tile' },
      ],
    },
    classes: { flat: [816 - 2 * 58, 6], angle: [912 - 70, 8] },
    area: 67968,
  },
  {
    // Covered on one side only, a corner is still finished.
    name: 'tile on one side of a corner',
    room: { zones: [{ wall: 0, from: 0, to: 60, bottom: 0, top: 72, cover: 'tile' }] },
    classes: { flat: [816 - 58, 6], angle: [912, 8] },
  },
  {
    // J trim round a window without casing: free edges on all four sides.
    name: 'J trim round a window',
    room: {
      openings: [{ wall: 0, kind: 'window', at: 54, width: 36, height: 36, sill: 30 }],
      beads: { profile: 'bullnose', edges: { 'w0.o0': 'J' } },
    },
    classes: { trim: [4 * 36, 4], bead: undefined },
    profiles: { J: [144, 4] },
  },
  {
    // At a door the floor is no edge: L trim on two jambs and the head.
    name: 'L trim round a door',
    room: {
      openings: [{ wall: 0, kind: 'door', at: 54, width: 32, height: 80 }],
      beads: { edges: { 'w0.o0': 'L' } },
    },
    classes: { trim: [32 + 2 * 80, 3] },
  },
  {
    name: 'one bead of another kind, one left away',
    room: {
      columns: [
        [
          [60, 60],
          [60, 66],
          [66, 66],
          [66, 60],
        ],
      ],
      beads: { profile: 'vinyl', edges: { 'k0.0~k0.1': 'bullnose', 'k0.1~k0.2': 'none' } },
    },
    classes: { bead: [3 * 96, 3] },
    profiles: { vinyl: [192, 2], bullnose: [96, 1] },
  },
  {
    // An opening as wide and high as its wall: no board, no joints along it.
    name: 'a wall that is not there',
    room: { openings: [{ wall: 1, kind: 'opening', at: 0, width: 120, height: 96, edge: 'open' }] },
    classes: { angle: [2 * 96 + 144 + 144 + 120, 5], bead: undefined },
    area: 67968 - 120 * 96,
    threeWays: 2,
  },
];

describe('rooms worked by hand', () => {
  it.each(CASES)('$name', ({ room, classes, area, threeWays, profiles }) => {
    const found = inchesOf(room, { hang: { ceiling: 'along' } });
    for (const [kind, total] of Object.entries(classes))
      expect({ [kind]: found.classes[kind] }).toEqual({ [kind]: total });
    if (area !== undefined) expect(found.area).toBeCloseTo(area, 2);
    if (threeWays !== undefined) expect(found.tally.threeWays).toBe(threeWays);
    if (profiles) expect(found.profiles).toEqual(profiles);
  });

  it('cabinets leave the tape and count it apart', () => {
    const { classes, tally } = inchesOf(
      { zones: [{ wall: 0, from: 0, to: 60, bottom: 0, top: 72, cover: 'cabinet' }] },
      { hang: { ceiling: 'along' } },
    );
    expect(classes.flat).toEqual([816 - 58, 6]);
    expect(tally.tapedOnly).toEqual({ length: expect.closeTo(58 * 25.4, 3), count: 1 });
  });

  it('a flat within a taper’s width above tile is flagged, one farther away is not', () => {
    const flags = (top: number) =>
      inchesOf({ zones: [{ wall: 0, from: 0, to: 60, bottom: 0, top, cover: 'tile' }] }).result.tileFlags;
    expect(flags(46)).toMatchObject([{ face: 'w0', distance: expect.closeTo(2 * 25.4, 3) }]);
    expect(flags(45)).toEqual([]);
  });

  it('screws behind tile are driven and not spotted', () => {
    const plain = inchesOf({}).tally;
    const tiled = inchesOf({ zones: [{ wall: 0, from: 0, to: 144, bottom: 0, top: 96, cover: 'tile' }] }).tally;
    expect(tiled.screws).toBe(plain.screws);
    expect(tiled.fasteners).toBeLessThan(plain.fasteners);
  });

  it('a face as found overrules the plan: upright boards, or butts over backers', () => {
    const upright = inchesOf({
      hung: { w0: { run: 'upright', courses: [48, 48, 48].map((breadth) => ({ breadth })) } },
    });
    const plain = inchesOf({});
    // Two seams of 96 instead of one of 144.
    expect((upright.classes.flat?.[0] ?? 0) - (plain.classes.flat?.[0] ?? 0)).toBeCloseTo(2 * 96 - 144, 3);
    const found = inchesOf({
      hung: {
        w0: {
          courses: [
            { breadth: 48, butts: [64], backed: true },
            { breadth: 48, butts: [96] },
          ],
        },
      },
    });
    expect(found.classes).toMatchObject({ backedButt: [48, 1], butt: [48, 1] });
  });

  it('butts over backers everywhere are backed butts', () => {
    const { classes } = inchesOf({ hang: { boards: [{ width: 48, lengths: [96] }], butts: 'backed' } });
    expect(classes.butt).toBeUndefined();
    expect(classes.backedButt?.[0]).toBeGreaterThan(0);
  });
});
