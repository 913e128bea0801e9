import { describe, expect, it } from 'vitest';
import { formatQuickLine } from '../quickline/formatQuickLine';
import { keepPlace } from '../quickline/keepPlace';
import { parseQuickLine } from '../quickline/parseQuickLine';
import { checkRoom } from './checks/checkRoom';
import { resolveHang } from './resolveHang';
import { roomSchema } from './schema';
import { wallsOf } from './walls';

const IN = 25.4;
const room = (rest: object = {}) =>
  roomSchema.parse({
    id: 'a',
    name: 'A',
    outline: [
      [0, 0],
      [144, 0],
      [144, 120],
      [0, 120],
    ],
    height: 96,
    ...rest,
  });
const problems = (rest: object, hang: object = {}) =>
  checkRoom(room(rest), { unit: 'in', hang }).map(({ path, reason }) => `${path}: ${reason}`);

describe('how a room is hung', () => {
  it('is usual until somebody says otherwise: 4 ft boards across, 16 in framing', () => {
    const plan = resolveHang({ unit: 'in', hang: {} }, {});
    expect(plan).toMatchObject({ walls: 'across', ceiling: 'auto', aim: 'joints' });
    expect(plan.framing).toBeCloseTo(16 * IN, 9);
    expect(plan.boards[0]?.lengths.map((length) => Math.round(length / IN))).toEqual([96, 120, 144]);
  });

  it('has screws at most 12 in apart on ceilings and 16 in on walls', () => {
    // source: ASTM C840, GA-216 (from memory)
    const { screws } = resolveHang({ unit: 'in', hang: {} }, {});
    expect([screws.ceiling / IN, screws.wall / IN]).toEqual([expect.closeTo(12, 9), expect.closeTo(16, 9)]);
  });

  it('takes the room’s word over the house’s, choice by choice', () => {
    const house = { unit: 'in', hang: { walls: 'upright', framing: 24, screws: { wall: 12 } } } as const;
    const plan = resolveHang(house, { hang: { walls: 'across', screws: { ceiling: 8 } } });
    expect(plan.walls).toBe('across');
    expect(plan.framing).toBeCloseTo(24 * IN, 9);
    expect([plan.screws.ceiling / IN, plan.screws.wall / IN]).toEqual([expect.closeTo(8, 9), expect.closeTo(12, 9)]);
  });

  it('is metric in a metric house', () => {
    const plan = resolveHang({ unit: 'mm', hang: {} }, {});
    expect(plan.boards).toEqual([{ width: 1200, lengths: [2400, 3000] }]);
    expect(plan.framing).toBe(400);
  });

  it('sorts the lengths of a board list', () => {
    const plan = resolveHang({ unit: 'mm', hang: { boards: [{ width: 1250, lengths: [3000, 2000, 2500] }] } }, {});
    expect(plan.boards[0]?.lengths).toEqual([2000, 2500, 3000]);
  });
});

describe('what no room can be', () => {
  it.each([
    [
      {
        outline: [
          [0, 0],
          [1, 0],
          [1, 120],
          [0, 120],
        ],
      },
      'outline: makes wall 1 1" long, which no wall is',
    ],
    [
      {
        outline: [
          [0, 0],
          [9000, 0],
          [9000, 120],
          [0, 120],
        ],
      },
      "outline: makes wall 1 750' long, which no wall is",
    ],
    [{ height: 1 }, 'height: must be at least 2"'],
    [{ height: 700 }, "height: must be at most 50'"],
    [
      { openings: [{ wall: 0, kind: 'window', at: 0, width: 150, height: 20 }] },
      'openings[0].width: the window runs 6" past the right end of wall 1 (12\')',
    ],
    [
      { openings: [{ wall: 0, kind: 'door', at: 0, width: 30, height: 80, edge: 'bead', depth: 0 }] },
      'openings[0].depth: must be at least 1/16"',
    ],
    [
      { hang: { framing: 100, boards: [{ width: 48, lengths: [96] }] } },
      "hang.framing: is wider than the longest board (8')",
    ],
  ])('%j', (rest, problem) => {
    expect(problems(rest)).toEqual([problem]);
  });

  it('offers to turn an outline that runs the wrong way round', () => {
    const [problem] = checkRoom(
      room({
        outline: [
          [0, 0],
          [0, 120],
          [144, 120],
          [144, 0],
        ],
      }),
      { unit: 'in', hang: {} },
    );
    expect(problem?.mend).toBe('reverse-outline');
  });

  it('lets openings touch a corner, the floor, the ceiling and each other', () => {
    const openings = [
      { wall: 0, kind: 'opening', at: 0, width: 72, height: 96 },
      { wall: 0, kind: 'window', at: 72, width: 72, height: 48, sill: 48 },
    ];
    expect(problems({ openings })).toEqual([]);
  });

  it('takes a rectangle that stands askew on the plan', () => {
    const [c, s] = [Math.cos(0.4), Math.sin(0.4)];
    const outline = [
      [0, 0],
      [144, 0],
      [144, 120],
      [0, 120],
    ].map(([x = 0, y = 0]) => [x * c - y * s, x * s + y * c]);
    expect(problems({ outline })).toEqual([]);
  });
});

describe('an outline that is given new sizes', () => {
  const askew = [
    [10, 20],
    [10 + 144 * 0.8, 20 + 144 * 0.6],
    [10 + 144 * 0.8 - 120 * 0.6, 20 + 144 * 0.6 + 120 * 0.8],
    [10 - 120 * 0.6, 20 + 120 * 0.8],
  ].map(([x = 0, y = 0]): [number, number] => [x, y]);

  const box = (long: number, wide: number): [number, number][] => [
    [0, 0],
    [long, 0],
    [long, wide],
    [0, wide],
  ];

  it('stays as it was stored when the walls are the same', () => {
    expect(keepPlace({ outline: askew }, { outline: box(144, 120) }, 'in').outline).toBe(askew);
  });

  it('keeps its first corner and its turn on the plan', () => {
    const walls = wallsOf(keepPlace({ outline: askew }, { outline: box(200, 100) }, 'in').outline, 'in');
    expect(walls.map(({ length }) => Math.round(length / IN))).toEqual([200, 100, 200, 100]);
    expect(walls[0]?.from.map((part) => Math.round(part / IN))).toEqual([10, 20]);
    expect(walls[0]?.along.slice(0, 2)).toEqual([expect.closeTo(0.8, 5), expect.closeTo(0.6, 5)]);
  });

  it('of another shape starts at the first corner too', () => {
    const l = [
      [0, 0],
      [100, 0],
      [100, 50],
      [60, 50],
      [60, 90],
      [0, 90],
    ].map(([x = 0, y = 0]): [number, number] => [x, y]);
    const { outline } = keepPlace({ outline: askew }, { outline: l }, 'in');
    expect([outline[0], outline[3]]).toEqual([
      [10, 20],
      [70, 70],
    ]);
  });

  it('takes its columns along, which the line measures from the first corner', () => {
    const column = [
      [60, 50],
      [60, 58],
      [68, 58],
      [68, 50],
    ].map(([x = 0, y = 0]): [number, number] => [10 + x * 0.8 - y * 0.6, 20 + x * 0.6 + y * 0.8]);
    const stored = room({ outline: askew, columns: [{ outline: column }] });
    const line = formatQuickLine(stored, 'in');
    expect(line).toContain("column 8x8 at 5' x 4'2");
    const reading = parseQuickLine(line, { unit: 'in', hang: {} });
    if (!reading.ok) throw new Error(reading.reason);
    const kept = keepPlace(stored, reading.room, 'in');
    expect(kept.outline).toBe(stored.outline);
    kept.columns?.[0]?.outline.forEach((corner, index) => {
      expect(corner[0]).toBeCloseTo(column[index]?.[0] ?? 0, 3);
      expect(corner[1]).toBeCloseTo(column[index]?.[1] ?? 0, 3);
    });
  });
});
