import { describe, expect, it } from 'vitest';
import { houseOf } from '../../tests/houses/readRooms';
import { cutReport, dryReport, houseFrom, lineReport, materialsReport, Refusal, takeOffReport } from './commands';
import { oneLine } from './oneLine';
import { tableText } from './tableText';

const refusal = (run: () => unknown): string => {
  try {
    run();
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
  return 'accepted';
};

describe('oak takeoff', () => {
  const report = takeOffReport(houseOf(["A 12' x 10' x 8', door 32x80 wall 1", "B 20' x 14' x 9'"]));

  it('names every face with its area and its boards', () => {
    expect(report.rooms.map(({ id, name }) => [id, name])).toEqual([
      ['room-0', 'A'],
      ['room-1', 'B'],
    ]);
    const [wall] = report.rooms[0]?.faces ?? [];
    expect(wall).toMatchObject({ id: 'w0', area: 144 * 96 - 32 * 80 });
    expect(wall?.boards[0]).toMatchObject({ course: 0, long: 'u', from: [0, 0], to: [144, 48] });
  });

  it('adds the rooms up', () => {
    const sum = report.rooms.reduce((total, { tally }) => total + tally.boardArea, 0);
    expect(report.total.boardArea).toBeCloseTo(sum, 4);
    expect(report.total).toMatchObject({ trim: { length: 0, count: 0 }, existing: { length: 0, count: 0 } });
  });

  it('answers in the unit of the file', () => {
    const metric = houseFrom(
      JSON.stringify({
        format: 'oak-tally-house',
        version: 1,
        unit: 'mm',
        name: 'M',
        rooms: [
          {
            id: 'a',
            name: 'A',
            outline: [
              [0, 0],
              [3600, 0],
              [3600, 3000],
              [0, 3000],
            ],
            height: 2400,
            ceiling: { shape: 'open' },
          },
        ],
      }),
      'm.json',
    );
    // By hand: 1200 mm boards, two courses on every wall: one flat of the wall's length; 3600 mm walls take two 3000 mm boards.
    expect(takeOffReport(metric).total).toMatchObject({
      flat: { length: 2 * (3600 + 3000), count: 4 },
      butt: { length: 4 * 1200, count: 4 },
      angle: { length: 4 * 2400 },
    });
  });
});

describe('oak materials', () => {
  it('answers tape, mud, bead and screws', () => {
    const report = materialsReport(houseOf(["A 12' x 10' x 8', door 32x80 wall 1 bead"]));
    expect(report.mud.map(({ product }) => product)).toEqual(['taping', 'all-purpose', 'topping']);
    expect(report.bead.net).toBe(32 + 2 * 80);
    expect(report.screws.withWaste).toBeGreaterThan(report.screws.net);
  });

  it('answers paper strip over beads, trim and caulk where the method asks for them', () => {
    const house = houseOf(["A 12' x 10' x 8', door 32x80 wall 1 bead"]);
    expect(materialsReport(house)).toMatchObject({ beadStrip: 0, trim: { joints: {}, withWaste: 0, caulk: 0 } });
    const method = { ...house.method, beadStrip: 'strip' as const, classes: { flat: { hard: 'trim' as const } } };
    const report = materialsReport({ ...house, method });
    // Both flanges of 32 + 2 · 80 in.
    expect(report.beadStrip).toBe(2 * (32 + 2 * 80));
    const { flat } = takeOffReport(house).total as unknown as Record<'flat', { readonly length: number }>;
    expect(report.trim.joints).toEqual({ flat: flat.length });
    expect(report.trim.withWaste).toBeCloseTo(flat.length * 1.1, 1);
    expect(report.trim.caulk).toBe(Math.ceil((2 * flat.length) / 12 / 30));
  });
});

describe('oak dry', () => {
  it('answers hours to a hundredth', () => {
    expect(dryReport({ temp: '70F', rh: '50' })).toEqual({ recoatHours: 17, sandHours: 17, warnings: [] });
    expect(dryReport({ temp: '21.111C', rh: '50%', mud: '45' })).toMatchObject({ setHours: 0.75, recoatHours: 1.13 });
  });

  it('says null and why where it never dries', () => {
    const report = dryReport({ temp: '60F', rh: '100' });
    expect(report.recoatHours).toBeNull();
    expect(report.warnings.at(-1)).toBe('the air is at its dew point: mud will not dry at all');
  });

  it('gives the hours and a warning below 10 °C', () => {
    const report = dryReport({ temp: '45F', rh: '50' });
    expect(report.recoatHours).toBeGreaterThan(36);
    expect(report.warnings[0]).toMatch(/below 10 °C/);
  });

  it.each([
    [{ rh: '50' }, '--temp: is missing; write 70F or 21C'],
    [{ temp: '70', rh: '50' }, '--temp: "70" is no temperature; write 70F or 21C'],
    [{ temp: '700F', rh: '50' }, '--temp: 700F is no air that people work in'],
    [{ temp: '70F' }, '--rh: is missing'],
    [{ temp: '70F', rh: '101' }, '--rh: must be between 0 and 100'],
    [{ temp: '70F', rh: 'damp' }, '--rh: "damp" is no number'],
    [{ temp: '70F', rh: '50', air: '-1' }, '--air: must be between 0 and 20'],
    [{ temp: '70F', rh: '50', thick: '1/0' }, '--thick: a fraction cannot be over 0'],
    [{ temp: '70F', rh: '50', thick: '3' }, '--thick: must be greater than 0 and at most 2 in'],
    [{ temp: '70F', rh: '0x32' }, '--rh: "0x32" is no number'],
    [{ temp: '70F', rh: '50', mud: '1e-9' }, '--mud: is "drying", or the minutes on a setting mud\'s label'],
    [{ temp: '70F', rh: '50', mud: 'plaster' }, '--mud: is "drying", or the minutes on a setting mud\'s label'],
  ])('refuses %j', (options, message) => {
    expect(refusal(() => dryReport(options))).toBe(message);
  });
});

describe('a house file on the command line', () => {
  it('is refused in one line that names the field', () => {
    expect(refusal(() => houseFrom('{', 'a.json'))).toMatch(/^a\.json: is not JSON: /);
    expect(refusal(() => houseFrom('{}', 'a.json'))).toBe('unit: is missing');
  });

  it('is printed as indented lines with --text', () => {
    expect(
      tableText({ unit: 'in', rooms: [{ name: 'Hall', flat: { length: 12, count: 1 } }], none: null, list: [] }),
    ).toBe(
      [
        'unit                         in',
        'rooms',
        '  Hall',
        '    name                     Hall',
        '    flat                     length 12   count 1',
        'none                         never',
        'list                         none',
      ].join('\n'),
    );
  });
});

describe('oak line', () => {
  it('prints the room of a line as in a house file', () => {
    const { room } = lineReport("Pantry 7'6 x 5' x 8', door 28x80 wall 2", undefined);
    expect(room).toMatchObject({ name: 'Pantry', height: 96, openings: [{ wall: 1, width: 28, height: 80 }] });
    expect(lineReport('Halle 3600 x 3000 x 2400', 'mm').room.height).toBe(2400);
  });

  it('says where a line is wrong, why, and what would mend it', () => {
    expect(refusal(() => lineReport("Pantry 7'6 x 5' x 8' door 28x80", 'in'))).toBe(
      'line, character 22: a comma is missing before "door"; Put a comma before "door": Pantry 7\'6 x 5\' x 8\', door 28x80',
    );
    expect(refusal(() => lineReport('A 5m x 5m', 'ft'))).toBe('--unit: "ft" is neither in nor mm');
  });
});

describe('a refusal', () => {
  it('is one line of at most 300 characters without control characters', () => {
    const text = oneLine(`rooms[0].name\n${'x'.repeat(500)}\u001b[31m ${'wall '.repeat(100)}`);
    expect([...text].length).toBeLessThanOrEqual(300);
    expect(text).not.toMatch(/[\p{Cc}]/u);
    expect(text.startsWith('rooms[0].name xxx')).toBe(true);
  });
});

describe('oak cut', () => {
  const house = houseOf(["A 12' x 10' x 8', door 32x80 wall 1 bead", "B 12' x 10' x 8', opening 32x80 wall 2 bead"]);

  it('cuts every edge once, at the least length, and says which', () => {
    const [square] = cutReport(house, { sticks: '96,120,144', kerf: '1/8' }).profiles;
    // By hand: 80 and 32 in with a kerf between them lie in 120, twice; the two others of 80 in take 96 each.
    expect([square?.profile, square?.cost, square?.bound]).toEqual(['square', 2 * 120 + 2 * 96, 2 * 120 + 2 * 96]);
    const edges = square?.sticks.flatMap(({ cuts }) => cuts.map(({ edge }) => edge)) ?? [];
    expect(edges.length).toBe(6);
    expect(new Set(edges).size).toBe(6);
    expect(edges.filter((edge) => edge.startsWith(`${house.rooms[0]?.id}/`)).length).toBe(3);
  });

  it('refuses sticks that are none', () => {
    for (const options of [{ sticks: '96,,120' }, { sticks: '0' }, { sticks: 'long' }, { kerf: '-1' }, { kerf: '10' }])
      expect(() => cutReport(house, options), JSON.stringify(options)).toThrow(/^--(sticks|kerf)/);
  });
});
