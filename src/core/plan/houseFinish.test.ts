import { describe, expect, it } from 'vitest';
import { oneRoomSnapshot } from '../../../tests/houses/oneRoomSnapshot';
import { SKILLS } from '../work/workItem';
import { houseFinish } from './houseFinish';
import { planHouse } from './planHouse';
import type { PlanInput } from './planInput';
import { planTogether } from './planTogether';

const NOW = Date.parse('2031-05-06T11:00:00Z');
const DAY = 86_400_000;
const tobin = { hours: 8, skills: [...SKILLS], learner: false, off: [], pace: {}, id: 'tobin', name: 'Tobin' };

const room = (line: string): PlanInput => oneRoomSnapshot(line, NOW).inputWith([]);
const two = planTogether([
  { id: 'a', input: { ...room("Closet 5' x 4' x 8', door 28x80"), people: [tobin] } },
  { id: 'b', input: room("Den 12' x 10' x 8', door 32x80") },
]);
const [closet, den] = two.rooms.map(({ id }) => id);

describe('when a house is finished', () => {
  it('is when its last room is, each with its own date, late where the painters come before', () => {
    const input = {
      ...two,
      rooms: two.rooms.map((own) => ({ ...own, due: own.id === closet ? NOW + DAY : NOW + 60 * DAY })),
    };
    const plan = planHouse(input, { effort: 500 });
    const finish = houseFinish({ plan, input });
    const ends = finish.rooms.map(({ end }) => end ?? 0);
    expect(finish).toMatchObject({ finish: Math.max(...ends), open: true, exceptHeld: false, from: NOW });
    expect(finish.rooms.map(({ id, whole, late }) => [id, whole, late])).toEqual([
      [closet, true, (ends[0] ?? 0) - NOW - DAY],
      [den, true, 0],
    ]);
    expect(ends[0]).toBeGreaterThan(NOW + DAY);
  });

  it('leaves out rooms on hold without an end, and says so', () => {
    const input = {
      ...two,
      rooms: two.rooms.map((own) => (own.id === den ? { ...own, held: { until: undefined } } : own)),
    };
    const finish = houseFinish({ plan: planHouse(input, { effort: 500 }), input });
    const [first, last] = finish.rooms;
    expect(finish).toMatchObject({ exceptHeld: true, finish: first?.end });
    expect([first?.last, last?.last]).toEqual([false, true]);
    expect(last?.end).toBeGreaterThan(finish.finish);
  });

  it('is not whole where nobody can do some of it, and nothing is open where nothing is left', () => {
    const noSanding = { ...two, people: [{ ...tobin, skills: SKILLS.filter((skill) => skill !== 'sand') }] };
    const finish = houseFinish({ plan: planHouse(noSanding, { effort: 500 }), input: noSanding });
    expect(finish.rooms.map(({ whole }) => whole)).toEqual([false, false]);
    const done = { ...two, items: [] };
    expect(houseFinish({ plan: planHouse(done), input: done })).toMatchObject({
      open: false,
      rooms: [
        { end: undefined, whole: true },
        { end: undefined, whole: true },
      ],
    });
  });
});
