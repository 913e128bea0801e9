import { describe, expect, it } from 'vitest';
import { formatQuickLine } from './formatQuickLine';
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
      level: 'Upper floor',
      hang: { ceiling: 'along', walls: 'upright' },
    });
    expect(read("A 12' x 10', ceiling open").ceiling.shape).toBe('open');
  });

  it('puts a window’s head at 80 in unless its sill is said', () => {
    expect(read("A 12' x 10', window 36x48").openings[0]?.sill).toBe(32);
  });

  it.each([
    ["A 12' x 10q", ['q', '"q" does not belong in a length']],
    [
      "A: 12' x 10', windw 20x20",
      ['windw', '"windw" is not known: door, window, opening, level, on, ceiling or walls'],
    ],
    ["A: 12' x 10', door 32x80 wall 5", ['5', 'the room has 4 walls']],
    ["A: 12' x 10', door 32x80 wall x", ['x', 'walls are numbered from 1']],
    ["A: 12' x 10', door 32", ['32', 'a door needs its width x height']],
    ["A: 12' x 10', door 32x100 wall 1", ['door 32x100 wall 1', 'the door reaches 4" above the wall (8\')']],
    ["A: 12' x 10', level 7", ['7', 'a level of finish is 0 to 5']],
    ["12' x 10'", ['1', 'a room starts with its name']],
    ["A: 0 x 10'", ['0', 'must be greater than 0']],
  ])('marks what is wrong in %j', (line, marked) => {
    expect(fault(line)).toEqual(marked);
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
