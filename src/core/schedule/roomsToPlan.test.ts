import { describe, expect, it } from 'vitest';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import type { PaintersDates } from '../work/painters';
import { jobsIn, roomsToPlan } from './roomsToPlan';

/** A room that is done where its name is a small letter, else with so many coats left as it says, each of two. */
const roomCalled = (id: string, left: number) =>
  ({
    room: { id },
    standing: { now: { kind: /[A-Z]/.test(id) ? 'go' : 'done' } },
    coats: ['on', ...Array.from({ length: left }, (_, index) => `left ${index}`)].map((coat) => ({ id: coat })),
    applied: {
      coats: new Map([
        ['on', { share: 1 }],
        ['left 0', { share: 0.5 }],
      ]),
    },
  }) as unknown as RoomSnapshot;

/** A house of rooms of one job each, or of as many as said. */
const house = (names: string, dates: PaintersDates = { rooms: {} }, jobs = 1) => ({
  dates,
  snapshot: { rooms: [...names].map((id) => roomCalled(id, jobs - 1)) },
});
const planned = (houses: readonly ReturnType<typeof house>[], most: number) =>
  [...roomsToPlan(houses, most).values()].map((rooms) => rooms.map(({ room }) => room.id).join(''));

describe('the rooms that are planned', () => {
  it('are all where there is not too much to do', () => {
    expect(planned([house('AbC'), house('De')], 3)).toEqual(['AbC', 'De']);
    expect(planned([house('abc')], 0)).toEqual(['abc']);
  });

  it('are those of the first houses, and of the last one the open rooms to which the painters come first', () => {
    const dates = { house: '2031-06-03', rooms: { F: '2031-06-01', G: '2031-06-02' } };
    expect(planned([house('AbC'), house('dEFGH', dates), house('I')], 4)).toEqual(['AbC', 'FG']);
    expect(planned([house('AbC'), house('dEFGH', dates), house('I')], 6)).toEqual(['AbC', 'dEFGH']);
    expect(planned([house('AB'), house('C')], 2)).toEqual(['AB']);
  });

  it('count by the coats that are not on, and what comes after them', () => {
    expect([jobsIn(roomCalled('A', 4)), jobsIn(roomCalled('A', 0)), jobsIn(roomCalled('a', 4))]).toEqual([5, 1, 0]);
    expect(planned([house('ABC', { rooms: {} }, 5)], 14)).toEqual(['AB']);
  });
});
