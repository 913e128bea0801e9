import { describe, expect, it } from 'vitest';
import { roomOf } from '../../../tests/houses/readRooms';
import { takeOff } from '../joints/takeOff';
import { resolveMethod } from '../method/resolveMethod';
import { roomCoats } from '../method/roomCoats';
import type { Mend } from './mend';
import { scrapeApart, scrapingIn } from './scrapeApart';
import { splitItems } from './splitItems';
import { ROOM_HOURS, SAND_MENDED_HOURS } from './usualRates';
import type { WorkItem } from './workItem';
import { workOf } from './workOf';
import { UNTOUCHED, type WorkRoom } from './workRoom';

const { house, room } = roomOf("A 20' x 14' x 8', door 32x80 wall 1 bead, ceiling along");
const { tally } = takeOff(room, house);

function workRoom(
  more: Partial<WorkRoom> = {},
  choices: { between?: 'scrape' | 'sand' | 'spot' | 'sponge' } = {},
): WorkRoom {
  const method = resolveMethod({ unit: 'in', method: { level: 4, ...choices } });
  return { ...UNTOUCHED, id: 'a', tally, method, coats: roomCoats(tally, method), ...more };
}
const hours = (items: readonly WorkItem[]) => items.reduce((sum, item) => sum + item.hours, 0);
const find = (items: readonly WorkItem[], work: string) => items.find((item) => item.work === work);
const FILL = new Set(['a/between.fill']);

describe('scraping before a round, handed out by itself', () => {
  it('takes its hours out of the coats, and walks in once more', () => {
    const whole = workOf(workRoom());
    const apart = scrapeApart(whole, FILL);
    expect(hours(apart)).toBeCloseTo(hours(whole) + ROOM_HOURS, 9);
    expect(apart).toHaveLength(whole.length + 1);
    // 600 ft an hour of every joint that is filled: flats, butts, the bead, and both sides of the angles. Common practice.
    const { classes } = tally;
    const feet = (['flat', 'butt', 'bead', 'angle'] as const).reduce(
      (sum, kind) => sum + classes[kind].length / 304.8,
      0,
    );
    const first = find(apart, 'between.fill');
    const second = scrapingIn(whole).find(({ work }) => work === 'between.sides');
    expect((first?.hours ?? 0) - ROOM_HOURS + ((second?.hours ?? ROOM_HOURS) - ROOM_HOURS)).toBeLessThanOrEqual(
      feet / 600 + 1e-9,
    );
    expect((first?.hours ?? 0) - ROOM_HOURS).toBeGreaterThan((classes.flat.length + classes.butt.length) / 304.8 / 600);
  });

  it('comes when everything below is dry, and the coats of its round come after it', () => {
    const apart = scrapeApart(workOf(workRoom()), FILL);
    const scraping = find(apart, 'between.fill');
    expect(scraping?.after.map(({ item, until }) => `${until} ${item}`)).toEqual(
      expect.arrayContaining(['recoat a/tape.flat', 'recoat a/tape.butt', 'recoat a/tape.angle']),
    );
    for (const work of ['fill.flat', 'fill.butt'])
      expect(find(apart, work)?.after).toContainEqual({ item: 'a/between.fill', until: 'ended', muds: [] });
    expect(find(apart, 'tape.flat')?.after.some(({ item }) => item === 'a/between.fill')).toBe(false);
    expect(find(apart, 'fill.fasteners')?.after.some(({ item }) => item === 'a/between.fill')).toBe(false);
    expect(apart.findIndex(({ work }) => work === 'between.fill')).toBeLessThan(
      apart.findIndex(({ work }) => work === 'fill.flat'),
    );
  });

  it('is offered for the rounds that have something to scrape, and no more where that is done', () => {
    expect(scrapingIn(workOf(workRoom())).map(({ work }) => work)).toContain('between.finish');
    const scraped = workOf(workRoom({ scraped: () => true }));
    expect(scrapingIn(scraped)).toEqual([]);
    expect(scrapeApart(scraped, FILL)).toEqual(scraped);
    expect(hours(scraped)).toBeLessThan(hours(workOf(workRoom())));
  });

  it('is offered only where the method scrapes', () => {
    for (const between of ['sand', 'spot', 'sponge'] as const)
      expect(scrapingIn(workOf(workRoom({}, { between })))).toEqual([]);
  });

  it('takes a clean crew 3,300 ft in an hour', () => {
    const dirty = workRoom();
    const clean = workRoom({ method: { ...dirty.method, scraping: 'clean' } });
    const alone = (room: WorkRoom) => (find(scrapeApart(workOf(room), FILL), 'between.fill')?.hours ?? 0) - ROOM_HOURS;
    expect(alone(clean) / alone(dirty)).toBeCloseTo(600 / 3300, 1);
  });

  it('goes by what the method asks for between coats', () => {
    const sanded = find(scrapeApart(workOf(workRoom({}, { between: 'sand' })), FILL), 'between.fill');
    const scraped = find(scrapeApart(workOf(workRoom()), FILL), 'between.fill');
    expect(sanded?.hours).toBeGreaterThan(scraped?.hours ?? 0);
  });

  it('leaves coats that are run in two halves whole hours', () => {
    const blocks = {
      walls: { part: 1, share: 0.6, from: undefined },
      ceiling: { part: 1, share: 0.4, from: undefined },
    };
    const left = () => ({ part: 1, from: undefined, sandAt: undefined, blocks });
    const apart = scrapeApart(workOf(workRoom({ left })), FILL);
    const halves = splitItems(apart, new Set(['a/fill.flat']));
    const of = (work: string) => find(halves, work)?.hours ?? 0;
    const whole = (find(apart, 'fill.flat')?.hours ?? 0) + ROOM_HOURS * (find(apart, 'fill.flat@walls') ? 1 : 0);
    expect(of('fill.flat@walls') + of('fill.flat@ceiling')).toBeCloseTo(whole, 6);
    expect(find(halves, 'fill.flat@walls')?.after).toContainEqual({ item: 'a/between.fill', until: 'ended', muds: [] });
  });
});

describe('what is wrong, as work', () => {
  const bubble: Mend = {
    hours: 0.25,
    class: 'flat',
    share: 0.2,
    first: true,
    mud: { mud: { kind: 'drying' }, thickness: 1.6, substrate: 'mud' },
  };
  const ridge: Mend = { hours: 0.05, class: 'angle', share: 0.1, first: false, mud: undefined };

  it('is one item with all its minutes', () => {
    const mend = find(workOf(workRoom({ mend: [bubble, ridge] })), 'mend');
    expect(mend?.hours).toBeCloseTo(0.3, 9);
    expect(mend?.muds).toHaveLength(1);
    expect(find(workOf(workRoom()), 'mend')).toBeUndefined();
  });

  it('holds up what would cover it, and nothing else', () => {
    const items = workOf(workRoom({ mend: [bubble, ridge] }));
    const waits = (work: string) => find(items, work)?.after.filter(({ item }) => item === 'a/mend') ?? [];
    expect(waits('fill.flat')).toEqual([{ item: 'a/mend', until: 'ended', muds: [] }]);
    expect(waits('fill.butt')).toEqual([]);
    expect(waits('fill.angle.first')).toEqual([]);
  });

  it('is dry before what would cover it where that lies on little else', () => {
    const waits = (mend: readonly Mend[]) =>
      find(workOf(workRoom({ mend })), 'fill.flat')?.after.filter(({ item }) => item === 'a/mend');
    expect(waits([{ ...bubble, share: 0.5 }])).toMatchObject([{ until: 'ended' }]);
    expect(waits([{ ...bubble, share: 0.6 }])).toMatchObject([{ until: 'recoat', muds: [bubble.mud] }]);
    expect(waits([bubble, bubble, bubble])).toMatchObject([{ until: 'recoat' }]);
  });

  it('opens sanding and the walk again where everything was signed off, for the mended places alone', () => {
    const done = {
      left: () => ({ part: 0, from: undefined, sandAt: undefined }),
      prefilled: 1,
      sandLeft: 0,
      checked: true,
      sealed: true,
    };
    expect(workOf(workRoom(done))).toEqual([]);
    const items = workOf(workRoom({ ...done, mend: [bubble] }));
    expect(items.map(({ work }) => work)).toEqual(['mend', 'sand', 'check', 'seal']);
    expect(find(items, 'sand')?.hours).toBeCloseTo(SAND_MENDED_HOURS + ROOM_HOURS, 9);
    expect(find(items, 'sand')?.after).toMatchObject([{ item: 'a/mend', until: 'sand' }]);
    expect(find(items, 'check')?.after.map(({ item }) => item)).toEqual(['a/sand', 'a/mend']);
    // What is scraped off leaves nothing wet, and nothing to sand.
    expect(workOf(workRoom({ ...done, mend: [ridge] })).map(({ work }) => work)).toEqual(['mend', 'check', 'seal']);
  });
});
