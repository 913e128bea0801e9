import { describe, expect, it } from 'vitest';
import { roomOf } from '../../../tests/houses/readRooms';
import { takeOff } from '../joints/takeOff';
import { MM_PER_INCH } from '../measure/unit';
import { addDifferences, hungDifference } from './hungDifference';

const { room, house } = roomOf("Hall 20' x 12' x 8', door 32x80 wall 3");
const hung = (butts: readonly number[], backed: boolean) => ({
  ...room,
  hung: {
    w0: {
      run: 'across' as const,
      courses: [
        { breadth: 48, butts: [...butts], backed },
        { breadth: 48, butts: [96], backed: false },
      ],
    },
  },
});
const tallyOf = (own: typeof room) => takeOff(own, house).tally;
const head = { unit: 'in' as const, method: { level: 4 as const } };

describe('what boards that hang otherwise take', () => {
  it('is nothing where they hang as planned, and turns round with what is compared', () => {
    const one = hung([144], false);
    expect(hungDifference(head, room, tallyOf(one), tallyOf(one))).toEqual({
      classes: [],
      factoryEdge: 0,
      litres: 0,
      hours: 0,
      nights: 0,
    });
    const two = hung([80, 160], false);
    const [there, back] = [
      hungDifference(head, room, tallyOf(one), tallyOf(two)),
      hungDifference(head, room, tallyOf(two), tallyOf(one)),
    ];
    expect(there.classes).toEqual([{ class: 'butt', length: expect.closeTo(48 * MM_PER_INCH, 3), count: 1 }]);
    expect(there.hours).toBeGreaterThan(0);
    expect(there.litres).toBeGreaterThan(0);
    expect(back.hours).toBeCloseTo(-there.hours, 9);
    expect(addDifferences([there, back])).toMatchObject({
      classes: [{ class: 'butt', count: 0 }],
      hours: expect.closeTo(0, 9),
    });
  });

  it('is less mud and work for a butt over a backer than for a plain one', () => {
    const [plain, backed] = [tallyOf(hung([144], false)), tallyOf(hung([144], true))];
    const differs = hungDifference(head, room, plain, backed);
    expect(differs.classes.map(({ class: kind, count }) => [kind, count])).toEqual([
      ['butt', -1],
      ['backedButt', 1],
    ]);
    expect(differs.litres).toBeLessThan(0);
    expect(differs.hours).toBeLessThan(0);
  });

  it('tells the factory edges that a rip brings into an angle, and their mud and work', () => {
    const rips = (flipped: boolean) => ({
      ...room,
      hung: {
        w0: {
          run: 'across' as const,
          courses: [12, 48, 36].map((breadth, index) => ({
            breadth,
            butts: [],
            backed: false,
            ...(flipped && index === 0 && { flipped }),
          })),
        },
      },
    });
    const differs = hungDifference(head, room, tallyOf(rips(false)), tallyOf(rips(true)));
    expect(differs.factoryEdge).toBeCloseTo(240 * MM_PER_INCH, 3);
    expect(differs.classes.map(({ class: kind, length }) => [kind, Math.round(length / MM_PER_INCH)])).toEqual([
      ['flat', -240],
      ['mixed', 240],
    ]);
    expect(differs.litres).toBeGreaterThan(0);
  });

  it('of a house is the sum of its rooms, which dry side by side', () => {
    const one = {
      classes: [{ class: 'butt' as const, length: 100, count: 1 }],
      factoryEdge: 50,
      litres: 1,
      hours: 0.5,
      nights: 1,
    };
    expect(addDifferences([one, one])).toEqual({
      classes: [{ class: 'butt', length: 200, count: 2 }],
      factoryEdge: 100,
      litres: 2,
      hours: 1,
      nights: 1,
    });
    expect(addDifferences([])).toEqual({ classes: [], factoryEdge: 0, litres: 0, hours: 0, nights: 0 });
  });
});
