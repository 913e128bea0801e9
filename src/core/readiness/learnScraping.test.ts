import { describe, expect, it } from 'vitest';
import { coat, hoursIn, recordedRoom, type Sent } from '../../../tests/houses/recordedRoom';
import { betweenHours } from '../work/tasksOf';
import { learnScraping } from './learnScraping';

const TAPE = ['flat.tape', 'angle.tape', 'fasteners.tape'].map((of) => coat(0, of));
const { room: untouched } = recordedRoom([], 0);
const FEET = (untouched.tally.classes.flat.length + untouched.tally.classes.angle.length) / 304.8;

/** Every joint of the room was scraped, so many hours after the start, at so many feet in an hour. */
function scraped(hours: number, rate: number, more: object = {}): Sent {
  const [begun, ended] = [hoursIn(hours - FEET / rate), hoursIn(hours)].map((at) => new Date(at).toISOString());
  return [hours, 'between', { how: 'scrape', begun, ended, ...more }];
}
const fillHours = (sent: readonly Sent[]) => {
  const { room, refused } = recordedRoom([...TAPE, ...sent], 60);
  expect(refused.filter(Boolean)).toEqual([]);
  const fill = room.coats.find(({ id }) => id === 'flat.fill');
  return (fill?.amount ?? 0) / 304.8 / betweenHours(fill as (typeof room.coats)[number], room.coats, room.method);
};

describe('how clean a crew works, by the scraping that it timed', () => {
  it.each([
    ['nobody timed any', [], 600],
    ['said without its time', [[30, 'between', { how: 'scrape' }]], 600],
    ['one clean run, against the usual', [scraped(30, 3300)], 600],
    ['two clean runs', [scraped(30, 3300), scraped(31, 2500)], 3300],
    ['two dirty ones', [scraped(30, 600), scraped(31, 300)], 600],
    ['two clean and one dirty', [scraped(30, 3000), scraped(31, 500), scraped(33, 4000)], 600],
    ['three clean and one dirty', [30, 31, 32].map((at) => scraped(at, 3000)).concat([scraped(34, 500)]), 3300],
    ['sanding is not scraping', [30, 31].map((at) => scraped(at, 3000, { how: 'sand' })), 600],
    ['two people take twice their hours', [30, 31].map((at) => scraped(at, 2000, { ranBy: twoPeople() })), 600],
  ] as const)('%s', (_words, sent, rate) => {
    expect(fillHours(sent as readonly Sent[])).toBeCloseTo(rate, 6);
  });

  it('counts a joint on two faces once, and only what the run says', () => {
    const { pieces } = untouched;
    const took = (feet: number, rate: number) => feet / rate;
    const run = { at: '', who: ['a'], how: 'scrape', classes: ['angle'], faces: undefined, after: 0 } as const;
    const feet = untouched.tally.classes.angle.length / 304.8;
    const of = (rate: number) =>
      learnScraping([{ pieces, betweens: [0, 1].map(() => ({ ...run, took: took(feet, rate) })) }]);
    // Between the two rates the nearer one counts, by proportion: 1,407 ft an hour.
    expect([of(1390), of(1420)]).toEqual(['dirty', 'clean']);
    const fast = { pieces, betweens: [0, 1].map(() => ({ ...run, classes: ['butt' as const], took: 0.01 })) };
    expect(learnScraping([fast])).toBe('dirty');
  });
});

function twoPeople(): readonly string[] {
  return ['00000000-0000-4000-8000-00000000000a', '00000000-0000-4000-8000-00000000000b'];
}
