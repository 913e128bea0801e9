import { describe, expect, it } from 'vitest';
import { coat, recordedRoom, type Sent } from '../../../tests/houses/recordedRoom';
import { scrapedFor } from './scrapedFor';

const TAPE = [coat(0, 'flat.tape'), coat(0, 'angle.tape')];
const scraped = (hours: number, classes?: readonly string[]): Sent => [
  hours,
  'between',
  { how: 'scrape', ...(classes ? { classes } : {}) },
];

describe('what lies under a coat was scraped for it', () => {
  it.each([
    ['nobody did', TAPE, 'fill', undefined],
    ['since the tape went on', [...TAPE, scraped(30)], 'fill', 30],
    ['twice: the last time counts', [...TAPE, scraped(30), scraped(32)], 'fill', 32],
    ['only the angles were', [...TAPE, scraped(30, ['angle'])], 'fill', undefined],
    ['the angles later than the flats', [...TAPE, scraped(30, ['flat']), scraped(32, ['angle'])], 'fill', 30],
    ['before the tape went on', [scraped(0), ...TAPE.map(([, ...own]) => [1, ...own] as Sent)], 'fill', undefined],
    ['some of the coat itself is on', [...TAPE, scraped(30), coat(40, 'flat.fill', { part: 0.5 })], 'fill', 30],
    ['for the coat before', [...TAPE, scraped(30), coat(40, 'flat.fill')], 'finish', undefined],
    ['for this one too', [...TAPE, scraped(30), coat(40, 'flat.fill'), scraped(70)], 'finish', 70],
    ['another class was coated since', [...TAPE, scraped(30), coat(40, 'angle.fill.first')], 'fill', 30],
  ] as const)('%s', (_words, sent, key, hours) => {
    const { room, refused } = recordedRoom(sent, 100);
    expect(refused.filter(Boolean)).toEqual([]);
    const done = scrapedFor(room.state, { class: 'flat', key });
    expect(done && (Date.parse(done.at) - Date.parse('2031-05-05T07:00:00Z')) / 3_600_000).toBe(hours);
  });
});
