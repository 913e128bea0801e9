import { describe, expect, it } from 'vitest';
import { takeOffReport } from '@/cli/commands';
import { readHouse } from '@/core/house/readHouse';
import type { House } from '@/core/house/schema';

/** Worked by hand, to the inch: a 12 ft × 10 ft × 8 ft room with a cased door and window. */
function workedExample(ceiling: 'along' | 'auto'): House {
  const reading = readHouse({
    format: 'oak-tally-house',
    version: 1,
    unit: 'in',
    name: 'Worked example',
    hang: { boards: [{ width: 48, lengths: [96, 120, 144], thickness: 0.5 }], walls: 'across', ceiling },
    rooms: [
      {
        id: 'room',
        name: 'Room',
        outline: [
          [0, 0],
          [144, 0],
          [144, 120],
          [0, 120],
        ],
        height: 96,
        openings: [
          { wall: 0, kind: 'door', at: 24, width: 32, height: 80 },
          { wall: 1, kind: 'window', at: 40, width: 36, height: 48, sill: 36 },
        ],
      },
    ],
  });
  if (!reading.ok) throw new Error(reading.problems[0]?.reason);
  return reading.house;
}

describe('the worked example', () => {
  const { total } = takeOffReport(workedExample('along'));

  it('has 748 in of flats, 912 in of angles, four three-ways and no butt or bead', () => {
    expect(total).toMatchObject({
      flat: { length: 748 },
      butt: { length: 0, count: 0 },
      mixed: { length: 0 },
      angle: { length: 912, count: 8 },
      bead: { length: 0, count: 0 },
      threeWays: 4,
    });
  });

  it('has eight runs of flat: two plain walls, two walls cut in two, two in the ceiling', () => {
    expect(total).toMatchObject({ flat: { count: 8 } });
  });

  it('has 442.2 ft² of board', () => {
    expect(total.boardArea / 144).toBeCloseTo(442.2, 1);
  });

  it('left to itself runs the ceiling the other way, for 700 in of flats', () => {
    expect(takeOffReport(workedExample('auto')).total).toMatchObject({ flat: { length: 700 }, butt: { length: 0 } });
  });
});

describe('a 20 ft wall without openings in 12 ft boards', () => {
  it('has two butts of 48 in, one per course', () => {
    const reading = readHouse({
      format: 'oak-tally-house',
      version: 1,
      unit: 'in',
      name: 'Wall',
      hang: { boards: [{ width: 48, lengths: [96, 120, 144] }] },
      rooms: [
        {
          id: 'r',
          name: 'R',
          outline: [
            [0, 0],
            [240, 0],
            [240, 96],
            [0, 96],
          ],
          height: 96,
          ceiling: { shape: 'open' },
        },
      ],
    });
    if (!reading.ok) throw new Error('the house should be read');
    // Two such walls in this room.
    expect(takeOffReport(reading.house).total).toMatchObject({ butt: { length: 4 * 48, count: 4 } });
  });
});
