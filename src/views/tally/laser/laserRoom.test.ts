import { describe, expect, it } from 'vitest';
import { formatQuickLine } from '@/core/quickline/formatQuickLine';
import { parseQuickLine } from '@/core/quickline/parseQuickLine';
import { askedNext, NOTHING_MEASURED, roomMeasured, withOpening, withoutLast, withReading } from './laserRoom';

const inch = (inches: number) => inches * 25.4;
const measured = (...readings: readonly number[]) =>
  readings.reduce((room, inches) => withReading(room, inch(inches)), NOTHING_MEASURED);

describe('a room that is measured', () => {
  it('is four walls, a door and two windows by fourteen readings, and its line says them', () => {
    let room = measured(144.02, 120, 96);
    expect(askedNext(room)).toBeUndefined();
    room = withOpening(room, 'door', 1);
    expect(askedNext(room)).toBe('Door in wall 2: from the left corner to the door');
    for (const reading of [12, 32, 80]) room = withReading(room, inch(reading));
    for (const wall of [0, 2]) {
      room = withOpening(room, 'window', wall);
      for (const reading of [54, 36, 48, 36]) room = withReading(room, inch(reading));
    }
    const made = roomMeasured(room, ' Den ', 'Ground floor', 'in');
    const line = made && formatQuickLine(made, 'in');
    expect(line).toBe("Den: 12' x 10' x 8', door 32x80 wall 2 at 1', window 36x48 @36 wall 1, window 36x48 @36 wall 3");
    const read = parseQuickLine(line ?? '', { unit: 'in', hang: {} });
    expect(read.ok && read.room.openings).toHaveLength(3);
  });

  it('asks for one thing after the other, and takes back the last one', () => {
    expect(askedNext(NOTHING_MEASURED)).toBe('Length, along wall 1');
    expect(askedNext(measured(144))).toBe('Width, along wall 2');
    expect(roomMeasured(measured(144, 120), '', 'A', 'in')).toBeUndefined();
    const open = withReading(withOpening(measured(144, 120, 96), 'door', 0), inch(10));
    expect(withOpening(open, 'window', 1)).toBe(open);
    expect(askedNext(withoutLast(open))).toBe('Door in wall 1: from the left corner to the door');
    expect(withoutLast(withoutLast(open))).toEqual(measured(144, 120, 96));
    expect(askedNext(withoutLast(measured(144, 120, 96)))).toBe('Height');
    expect(withoutLast(NOTHING_MEASURED)).toEqual(NOTHING_MEASURED);
    // Nothing is asked: a reading is nobody's.
    expect(withReading(measured(144, 120, 96), 5)).toEqual(measured(144, 120, 96));
    // What is not measured to its end is not in the room yet.
    expect(roomMeasured(open, 'A', 'A', 'in')?.openings).toEqual([]);
  });
});
