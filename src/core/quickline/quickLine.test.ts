import { describe, expect, it } from 'vitest';
import { takeOff } from '../joints/takeOff';
import { wallsOf } from '../room/walls';
import { formatQuickLine } from './formatQuickLine';
import { exampleOf, ITEM_SPECS } from './lineSpecs';
import { parseQuickLine } from './parseQuickLine';

const HOUSE = { unit: 'in', hang: {} } as const;

describe('the quick line', () => {
  const read = (line: string) => {
    const reading = parseQuickLine(line, HOUSE);
    if (!reading.ok) throw new Error(`${reading.reason} at ${reading.at}`);
    return reading.room;
  };
  const fault = (line: string) => {
    const reading = parseQuickLine(line, HOUSE);
    return reading.ok ? 'read' : [line.slice(reading.at, reading.at + reading.length), reading.reason];
  };

  it('makes a room with doors and windows', () => {
    const room = read("Pantry 7'6 x 5' x 8', door 28x80 wall 2, window 24x36 @48 bead");
    expect(room).toMatchObject({
      name: 'Pantry',
      outline: [
        [0, 0],
        [90, 0],
        [90, 60],
        [0, 60],
      ],
      height: 96,
      openings: [
        { kind: 'door', wall: 1, at: 16, width: 28, height: 80, sill: 0, edge: 'casing' },
        { kind: 'window', wall: 0, at: 33, width: 24, height: 36, sill: 48, edge: 'bead' },
      ],
    });
  });

  it('takes a name with numbers in it, with or without a colon', () => {
    expect(read("Bed 2 12' x 10'").name).toBe('Bed 2');
    expect(read("Bed 2: 12' x 10' x 9'")).toMatchObject({ name: 'Bed 2', height: 108 });
  });

  it('takes level, floor, ceiling and wall boards', () => {
    expect(read("A 12' x 10', level 5, on Upper floor, ceiling along, walls upright")).toMatchObject({
      finish: { level: 5 },
      floor: 'Upper floor',
      hang: { ceiling: 'along', walls: 'upright' },
    });
    expect(read("A 12' x 10', ceiling open").ceiling.shape).toBe('open');
  });

  it('puts a window’s head at 80 in unless its sill is said', () => {
    expect(read("A 12' x 10', window 36x48").openings[0]?.sill).toBe(32);
  });

  it.each([
    ["Den 12' x 10' x 8' x 9'", ["9'", 'a room has three sizes: length x width x height']],
    ["Den: 12' x 10' x 8' x 9', door 32x80", ["9'", 'a room has three sizes: length x width x height']],
    ['Den 12 x 10 x 8 x 9', ['12', '12 alone would be 12 inches: write 12\' or 12"']],
    ["A 12' x 10q", ['q', '"q" does not belong in a length']],
    ["A: 12' x 10', windw 20x20", ['windw', '"windw" is not known here; did you mean "window"?']],
    ["A: 12' x 10', win", ['win', '"win" is not known here; did you mean "window"?']],
    ["A: 12' x 10', zzz", ['zzz', '"zzz" is not known here; doors, windows, soffits and the rest are on the key (?)']],
    ["A: 12' x 10', door 32x80 wall 5", ['5', 'the room has 4 walls']],
    ["A: 12' x 10', door 32x80 wall x", ['x', 'walls are numbered from 1']],
    ["A: 12' x 10', door 32", ['32', 'a door needs its width x height']],
    ["A: 12' x 10', door 32x100 wall 1", ['100', 'the door reaches 4" above the wall (8\')']],
    ["A: 12' x 10', level 7", ['7', 'the level of finish is 0, 1, 2, 3, 4, 5']],
    ["12' x 10'", ['1', 'a room starts with its name']],
    ["A: 0 x 10'", ['0', 'must be greater than 0']],
    ["A: 12' x 10', soffit 24x12", ['soffit 24x12', 'the wall is missing: wall …']],
    ["A: 12' x 10', soffit 24x12 wall 1 to 13'", ["13'", "the soffit runs 1' past the right end of wall 1"]],
    ["A: 12' x 10', tray 62x8", ['62', 'a tray set in 5\' 2" does not fit: nothing is left of it along wall 2']],
    ["A: 12' x 10', knee 4' run 5'", ["knee 4' run 5'", 'the knee walls is missing: walls …']],
    ["A: 12' x 10', niche 36x24x8 wall 3 shelves x", ['x', 'shelves are counted: 0, 1, 2 …']],
    ["A: 12' x 10', door 32x80 bead open", ['o', 'the edge is said twice']],
    ["A: 12' x 10', light moonshine", ['moonshine', 'the light is ordinary, low sun, cove, lamp along the wall']],
    [
      "A: 12' x 10', column 8x8 at 20' x 4'",
      ["column 8x8 at 20' x 4'", 'does not stand free in the room; what stands against a wall belongs to the outline'],
    ],
    ["A: 12' x 10', tray 24x10, tray 12x10", ['tray 12x10', 'the ceiling is said twice']],
    ["A: r 12' d 10' l 12' q 10'", ['q', '"q" does not belong in a length']],
    ["A: r 12' d 10' l 11'9 u 10'", ["u 10'", 'the walls do not close: they end 3" to the right of the start']],
    [
      "A: r 12' d 10' u 4' l 12' u 6'",
      ["A: r 12' d 10' u 4' l 12' u 6'", 'crosses itself: walls 2 and 3 meet where no corner is'],
    ],
  ])('marks what is wrong in %j', (line, marked) => {
    expect(fault(line)).toEqual(marked);
  });

  it('is short for a bedroom with a door and two windows', () => {
    expect(read("Bed 12'x10',d 30x80,w 36x48,w 36x48").openings.map(({ kind, wall }) => [kind, wall])).toEqual([
      ['door', 0],
      ['window', 1],
      ['window', 2],
    ]);
  });

  it('walks along the walls, either way round, the first wall walked staying wall 1', () => {
    const room = read("Landing: r 12' d 3'6 r 4' d 8' l 16' u 11'6, h 9', door 32x80 wall 4");
    expect(room).toMatchObject({
      name: 'Landing',
      height: 108,
      outline: [
        [0, 0],
        [144, 0],
        [144, 42],
        [192, 42],
        [192, 138],
        [0, 138],
      ],
      openings: [{ wall: 3, at: 32 }],
    });
    const other = read("Landing: d 11'6 r 16' u 8' l 4' u 3'6 l 12', door 32x80 wall 2 at 2'");
    const walls = wallsOf(other.outline, 'in').map(({ length }) => Math.round(length / 25.4));
    expect(walls).toEqual([138, 144, 42, 48, 96, 192]);
    // The second wall walked is the last of the turned outline.
    expect(other.openings[0]).toMatchObject({ wall: 5, at: 24 });
  });

  it('closes a walk whose last length is left out, and takes slanting walls', () => {
    expect(read("A: r 12' d 10' l 12' u").outline).toHaveLength(4);
    const bay = wallsOf(read("Bay: r 3' ur 2' x 2' r 2' dr 2' x 2' r 3' d 10' l 12' u").outline, 'in');
    expect(bay.map(({ length }) => Math.round(length / 25.4))).toEqual([36, 34, 24, 34, 36, 120, 144, 120]);
    expect(wallsOf(read("Slant: r 12' d 10' l 10' lu 2' x 10'").outline, 'in')[3]?.length).toBeCloseTo(
      Math.hypot(24, 120) * 25.4,
      6,
    );
  });

  it('offers to spread what a walk fails to close by, each wall taking its share', () => {
    const line = "A: r 12' d 10' l 11'9 u 10', level 3";
    const reading = parseQuickLine(line, HOUSE);
    if (reading.ok || !reading.mend) throw new Error('the walk is open and can be mended');
    const mended = reading.mend.line(line);
    expect(mended).toBe("A: r 12' d 10' l 11'9 u 10' spread, level 3");
    const lengths = wallsOf(read(mended).outline, 'in').map(({ length }) => length / 25.4);
    // 3 in over 285: 1 1/2 each, and the room is square again.
    expect(lengths.map((length) => Math.round(length * 1e4) / 1e4)).toEqual([142.5, 120, 142.5, 120]);
    expect(formatQuickLine(read(mended), 'in')).toBe("A: 11'10 1/2 x 10' x 8', level 3");
  });

  it('takes names with its own marks in quotation marks', () => {
    const room = read('"Bed, north: 2" 12\' x 10\', on "Upper, east"');
    expect([room.name, room.floor]).toEqual(['Bed, north: 2', 'Upper, east']);
    expect(read(formatQuickLine(room, 'in'))).toEqual(room);
  });

  it('reads and writes every kind of item', () => {
    for (const { kind, example } of ITEM_SPECS) {
      const shape = kind === 'edge' ? ', opening 60x80 wall 1' : '';
      const room = read(`A: 16' x 14' x 8'${shape}, ${example}`);
      expect(read(formatQuickLine(room, 'in')), example).toEqual(room);
    }
  });

  it('reads every example as it is written in a metric house', () => {
    for (const spec of ITEM_SPECS) {
      const shape = spec.kind === 'edge' ? ', opening 1500x2000 wall 1' : '';
      const reading = parseQuickLine(`A: 5000 x 4400 x 2400${shape}, ${exampleOf(spec, 'mm')}`, {
        unit: 'mm',
        hang: {},
      });
      expect(reading.ok ? '' : reading.reason, exampleOf(spec, 'mm')).toBe('');
      expect(exampleOf(spec, 'mm')).not.toMatch(/['"]/);
    }
  });

  it('writes a room so that it reads back the same', () => {
    const lines = [
      "Pantry 7'6 x 5' x 8', door 28x80 wall 2, window 24x36 @48 bead",
      "Day room: 20' x 14' x 9', window 72x60 @24 wall 1 bead, opening 60x84 wall 3 at 2' bead depth 5, level 5, on Upper floor, ceiling across, walls upright",
      "Odd: 12'4 3/16 x 10'0 1/2 x 8'1, door 32.25x80 wall 1 at 1'3, ceiling open",
    ];
    for (const line of lines) {
      const room = read(line);
      expect(read(formatQuickLine(room, 'in'))).toEqual(room);
    }
  });

  it('keeps sizes that no sixteenth can say', () => {
    const room = read('A: 148.53 x 120.01 x 96');
    expect(read(formatQuickLine(room, 'in'))).toEqual(room);
  });

  it('speaks millimetres in a metric house', () => {
    const metric = { unit: 'mm', hang: {} } as const;
    const reading = parseQuickLine('Kammer: 3600 x 3000 x 2500, door 885x2010 wall 1', metric);
    expect(reading.ok && reading.room).toMatchObject({
      height: 2500,
      outline: [
        [0, 0],
        [3600, 0],
        [3600, 3000],
        [0, 3000],
      ],
    });
    expect(reading.ok && parseQuickLine(formatQuickLine(reading.room, 'mm'), metric)).toEqual(reading);
  });
});
describe('a line as its writer meant it', () => {
  const HOUSE_IN = { unit: 'in', hang: {} } as const;
  const refused = (line: string, house: { unit: 'in' | 'mm'; hang: object } = HOUSE_IN) => {
    const reading = parseQuickLine(line, house);
    if (reading.ok) throw new Error(`${line} is read as ${reading.room.name}`);
    return {
      at: line.slice(reading.at, reading.at + reading.length),
      reason: reading.reason,
      mended: reading.mend?.line(line),
    };
  };

  it.each([
    ["Pantry 7'6 x 5' x 8' door 28x80", 'door', "Pantry 7'6 x 5' x 8', door 28x80"],
    ["Pantry: 7'6 x 5' x 8' door 28x80", 'door', "Pantry: 7'6 x 5' x 8', door 28x80"],
    ["A: r 12' d 10' l 12' u 10' tile 60x72 wall 2", 'tile', undefined],
  ])('wants the comma that was forgotten in %j', (line, at, mended) => {
    const found = refused(line);
    expect([found.at, found.mended]).toEqual([at, mended ?? found.mended]);
  });

  it.each([
    ["7.5.5' x 5' x 8'", '.'],
    ["-5' x 5' x 8'", '-'],
    ["NaN x 5' x 8'", 'N'],
    ["1/0 x 5' x 8'", '0'],
    ["Pantry NaN x 5' x 8'", 'N'],
    ["Pantry 7'6x5'x8'door 28x80", 'd'],
    ["Pantry 99999' x 5'", "99999'"],
  ])('never makes a name of a size: %j', (line, at) => {
    expect(refused(line).at).toBe(at);
  });

  it.each([
    ['A 5 x 8 x 8', 'in', '5', "A 5' x 8' x 8'"],
    ["A 10' x 8", 'in', '8', "A 10' x 8'"],
    ["A: r 12' d 3 r 4' d 8' l 16' u 11'", 'in', '3', "A: r 12' d 3' r 4' d 8' l 16' u 11'"],
    ["A 12' x 10', h 9", 'in', '9', "A 12' x 10', h 9'"],
    ['A 4 x 3 x 2400', 'mm', '4', 'A 4 m x 3 m x 2400'],
  ] as const)('asks about a wall under a foot: %j', (line, unit, at, mended) => {
    const found = refused(line, { unit, hang: {} });
    expect([found.at, found.mended]).toEqual([at, mended]);
    expect(parseQuickLine(mended, { unit, hang: {} }).ok).toBe(true);
  });

  it('takes a short wall whose unit is written, and writes it so', () => {
    const line = 'Flue: 10" x 8" x 8\'';
    const reading = parseQuickLine(line, HOUSE_IN);
    expect(reading.ok && formatQuickLine(reading.room, 'in')).toBe(line);
  });

  it('keeps numbers and signs in names', () => {
    const names = ["Bedroom 2 12' x 10'", "Suite X 12' x 10'", '"2x4 store" 8\' x 6\''].map((line) => {
      const reading = parseQuickLine(line, HOUSE_IN);
      return reading.ok ? reading.room.name : reading.reason;
    });
    expect(names).toEqual(['Bedroom 2', 'Suite X', '2x4 store']);
  });

  it.each([
    ["A 12' x 10', shed 2' wall 1, gable 4'", "gable 4'", 'the ceiling is said twice'],
    ["A 12' x 10', ceiling open, tray 24x10", 'tray 24x10', 'the ceiling is said twice'],
    ["A 12' x 10', gable 4' walls 1 3 2", '1 3 2', 'a gable rises from two walls: walls 1 3'],
    [
      "A 12' x 10', hung wall 1 across 200 + 48",
      'hung wall 1 across 200 + 48',
      "is broader than the widest board (4')",
    ],
    ["A 12' x 10', edge w0~w1 J", 'edge w0~w1 J', 'is an inside corner: nothing stands on it'],
    [
      "A 12' x 10', hung wall 1 across 48 + 48, hung wall 1 upright 48 + 48 + 48",
      'hung wall 1 upright 48 + 48 + 48',
      'as found is said twice',
    ],
  ])('passes nothing over: %j', (line, at, reason) => {
    expect(refused(line)).toMatchObject({ at, reason });
  });

  it.each([
    ["48 at 5'/10' bevelled", { backed: false, bevelled: true }],
    ["48 at 5' bevelled/10'", { backed: false, bevelled: [60] }],
    ["48 at 5' backed/10' bevelled", { backed: [60], bevelled: [120] }],
    ["48 at 5'/10' backed", { backed: true }],
    ["48 at 5' backed/10'", { backed: [60] }],
    ["48 at 5'/10'", { backed: false }],
    ["48 at 5'/10' flipped", { backed: false, flipped: true }],
    ["48 at 5' bevelled/10' flipped", { backed: false, bevelled: [60], flipped: true }],
    ["48 at 5'/10' backed flipped", { backed: true, flipped: true }],
  ])('reads how butts are hung, and writes it as it was said: %j', (course, said) => {
    const line = `A 12' x 10', hung wall 1 across ${course} + 48`;
    const reading = parseQuickLine(line, HOUSE_IN);
    if (!reading.ok) throw new Error(reading.reason);
    expect(reading.room.hung?.w0?.courses[0]).toEqual({ breadth: 48, butts: [60, 120], ...said });
    const again = parseQuickLine(formatQuickLine(reading.room, 'in'), HOUSE_IN);
    expect(again.ok && again.room.hung).toEqual(reading.room.hung);
  });

  it('keeps a note, with commas in quotation marks, and refuses one that is too long', () => {
    const noted = (line: string) => {
      const reading = parseQuickLine(line, HOUSE_IN);
      if (!reading.ok) throw new Error(reading.reason);
      return reading.room;
    };
    const room = noted('A 12\' x 10\', note "no heat before Friday, 12" gap at the stair"');
    expect(room.note).toBe('no heat before Friday, 12″ gap at the stair');
    expect(noted(formatQuickLine(room, 'in')).note).toBe(room.note);
    expect(parseQuickLine(`A 12' x 10', note ${'far '.repeat(90)}`, HOUSE_IN)).toMatchObject({
      ok: false,
      reason: expect.stringContaining('at most 300 characters'),
    });
  });

  it('takes an edge by either of its names', () => {
    const beads = (name: string) => {
      const reading = parseQuickLine(`A: r 20' d 10' l 10' d 10' l 10' u 20', edge ${name} bullnose`, HOUSE_IN);
      if (!reading.ok) throw new Error(reading.reason);
      return takeOff({ ...reading.room, id: 'a' }, HOUSE_IN).tally.profiles;
    };
    expect(beads('w2~w3')).toEqual({ bullnose: { length: expect.closeTo(96 * 25.4, 6), count: 1 } });
    expect(beads('w3~w2')).toEqual(beads('w2~w3'));
  });
});
