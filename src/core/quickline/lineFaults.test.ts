import { describe, expect, it } from 'vitest';
import { takeOff } from '../joints/takeOff';
import { formatQuickLine } from './formatQuickLine';
import { parseQuickLine } from './parseQuickLine';

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
