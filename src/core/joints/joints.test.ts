import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { roomOf } from '../../../tests/houses/readRooms';
import type { HangChoices } from '../room/schema';
import { takeOff } from './takeOff';
import { addTallies, type Tally } from './tally';

const IN = 25.4;
const tallyOf = (line: string, hang: HangChoices = {}): Tally => {
  const { house, room } = roomOf(line, hang);
  return takeOff(room, house).tally;
};
const inches = ({ classes }: Tally) =>
  Object.fromEntries(
    Object.entries(classes).flatMap(([kind, { length, count }]) =>
      count > 0 ? [[kind, [Math.round((length / IN) * 1000) / 1000, count]]] : [],
    ),
  );

describe('joints of a room', () => {
  it('of a 20 ft room hung along have butts in every course and crossings where they meet flats', () => {
    const tally = tallyOf("A 20' x 8' x 8', ceiling along");
    // By hand: both long walls two butts of 48 in; the ceiling two courses with one each. Every one meets one flat.
    expect(inches(tally).butt).toEqual([6 * 48, 6]);
    expect(tally.crossings).toBe(6);
  });

  it('hung upright have flats every 48 in and no butts up to the board’s length', () => {
    const tally = tallyOf("A 12' x 8' x 8', ceiling open, walls upright");
    // By hand: 144 in is three boards (2 flats), 96 in is two (1 flat): 2·2 + 2·1 flats of 96 in.
    expect(inches(tally)).toEqual({ flat: [6 * 96, 6], angle: [4 * 96, 4] });
    expect(tallyOf("A 12' x 8' x 13', ceiling open, walls upright").classes.butt.count).toBeGreaterThan(0);
  });

  it('with a boarded window gain its beads, the angles of its return and the board of it', () => {
    const plain = tallyOf("A 12' x 10' x 8', window 36x48 @36 wall 2");
    const boarded = tallyOf("A 12' x 10' x 8', window 36x48 @36 wall 2 bead depth 6");
    expect(boarded.classes.bead.length / IN).toBeCloseTo(2 * 36 + 2 * 48, 6);
    expect(boarded.classes.bead.count).toBe(4);
    expect((boarded.classes.angle.length - plain.classes.angle.length) / IN).toBeCloseTo(4 * 6, 6);
    expect((boarded.boardArea - plain.boardArea) / IN ** 2).toBeCloseTo(6 * (2 * 36 + 2 * 48), 4);
    expect(boarded.threeWays).toBe(plain.threeWays);
  });

  it('with a boarded door gain no bead at the floor', () => {
    expect(tallyOf("A 12' x 10' x 8', door 32x80 wall 1 bead").classes.bead.length / IN).toBeCloseTo(32 + 2 * 80, 6);
  });

  it('without a ceiling have no level angles and no three-ways', () => {
    const tally = tallyOf("A 12' x 10' x 8', ceiling open");
    expect(inches(tally).angle).toEqual([4 * 96, 4]);
    expect(tally.threeWays).toBe(0);
  });

  it('count factory edges that landed in angles, along one side and both', () => {
    const tally = tallyOf("A 12' x 10' x 8', ceiling along");
    // By hand: walls start full at the top, so all 528 in of level angle have one; the ceiling's first board lies along wall 1.
    expect(tally.factoryEdgeInAngle.both / IN).toBeCloseTo(144, 6);
    expect(tally.factoryEdgeInAngle.one / IN).toBeCloseTo(528 - 144, 6);
  });

  it('never spot more screws than are driven, and spot those in the field', () => {
    const tally = tallyOf("A 12' x 10' x 8', door 32x80 wall 1, window 36x48 wall 2");
    expect(tally.fasteners).toBeLessThan(tally.screws);
    expect(tally.fasteners).toBeGreaterThan(100);
  });

  it('drive one screw a row on one bay of a small wall, by hand', () => {
    // A 16 in wide, 16 in high room of four such walls: each one strip with two lines of screws at its ends, two rows each.
    expect(tallyOf('A 16 x 16 x 16, ceiling open').screws).toBe(4 * 4);
  });
});

describe('what no room may break', () => {
  const side = fc.integer({ min: 50, max: 420 });
  const height = fc.integer({ min: 80, max: 150 });
  const hang = fc.record({
    walls: fc.constantFrom('across' as const, 'upright' as const),
    ceiling: fc.constantFrom('auto' as const, 'along' as const, 'across' as const),
    aim: fc.constantFrom('joints' as const, 'boards' as const, 'waste' as const),
  });

  it('the boards of a face fill it, and their perimeters are twice its seams and once its rim', () => {
    fc.assert(
      fc.property(side, side, height, hang, (length, width, tall, choices) => {
        const { house, room } = roomOf(`A ${length} x ${width} x ${tall}`, choices);
        const { faces, joints } = takeOff(room, house);
        for (const { face, boards } of faces) {
          const area = boards.reduce((sum, { u0, u1, v0, v1 }) => sum + (u1 - u0) * (v1 - v0), 0);
          expect(area).toBeCloseTo(face.width * face.height, 2);
          const perimeter = boards.reduce((sum, { u0, u1, v0, v1 }) => sum + 2 * (u1 - u0 + v1 - v0), 0);
          const seams = joints
            .filter(({ run, lines }) => run === 'seam' && lines[0]?.face === face.id)
            .reduce((sum, joint) => sum + joint.length, 0);
          expect(perimeter).toBeCloseTo(2 * seams + 2 * (face.width + face.height), 2);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('turning and shifting the room on the plan changes no total', () => {
    fc.assert(
      fc.property(side, side, height, fc.integer({ min: 0, max: 359 }), (length, width, tall, degrees) => {
        const { house, room } = roomOf(`A ${length} x ${width} x ${tall}, window 20x30 wall 1 bead`);
        const angle = (degrees * Math.PI) / 180;
        const turned = room.outline.map(([x, y]): [number, number] => [
          x * Math.cos(angle) - y * Math.sin(angle) + 77,
          x * Math.sin(angle) + y * Math.cos(angle) - 13,
        ]);
        const [here, there] = [takeOff(room, house).tally, takeOff({ ...room, outline: turned }, house).tally];
        expect(inches(there)).toEqual(inches(here));
        expect([there.threeWays, there.crossings, there.screws, there.fasteners]).toEqual([
          here.threeWays,
          here.crossings,
          here.screws,
          here.fasteners,
        ]);
      }),
      { numRuns: 300 },
    );
  });

  it('starting the outline at the opposite wall changes no total', () => {
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 26 }), fc.integer({ min: 4, max: 26 }), (bays, otherBays) => {
        const { house, room } = roomOf(`A ${bays * 16} x ${otherBays * 16} x 96`);
        const [a, b, c, d] = room.outline;
        if (!a || !b || !c || !d) throw new Error('four corners');
        expect(inches(takeOff({ ...room, outline: [c, d, a, b] }, house).tally)).toEqual(
          inches(takeOff(room, house).tally),
        );
      }),
      { numRuns: 40 },
    );
  });

  it('two rooms together are the sum of both', () => {
    const [a, b] = [tallyOf("A 12' x 10' x 8'"), tallyOf("B 20' x 14' x 9', window 36x48 bead")];
    const both = addTallies([a, b]);
    expect(both.classes.angle.length).toBeCloseTo(a.classes.angle.length + b.classes.angle.length, 6);
    expect(both.screws).toBe(a.screws + b.screws);
    expect(both.boards.reduce((sum, { count }) => sum + count, 0)).toBe(
      [...a.boards, ...b.boards].reduce((sum, { count }) => sum + count, 0),
    );
  });
});
