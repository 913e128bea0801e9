import { describe, expect, it } from 'vitest';
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
