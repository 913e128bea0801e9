import { describe, expect, it } from 'vitest';
import { logEntry as entry, INES, TOBIN } from '../../../tests/houses/logEntry';
import { oneRoomSite } from '../../../tests/houses/oneRoomSite';
import type { Entry } from '../log/entry';
import { DEFECT_KINDS, DEFECTS, type DefectKind } from '../method/defects';
import { MEND_MINUTES, ROOM_HOURS } from '../work/usualRates';
import { handedPasses, passDone } from './handedPasses';
import { dueItems } from './mending';

const NOW = Date.parse('2031-05-06T11:00:00Z');
const DAY_MS = 86_400_000;
const {
  room,
  taken: TAKEN,
  siteWith,
  roomWith,
  inputWith: itemsWith,
} = oneRoomSite("A 12' x 10' x 8', door 32x80 wall 1 bead", NOW);
const hoursOf = (entries: readonly Entry[], work: string) =>
  itemsWith(entries).items.find((item) => item.work === work)?.hours;

const flat = TAKEN.pieces.find((piece) => piece.class === 'flat')?.id ?? '';
const wrong = (defect: DefectKind, piece?: string) =>
  entry({ kind: 'item', at: NOW - DAY_MS, payload: { defect, ...(piece ? { piece } : {}) } });
const mended = (item: Entry) => entry({ kind: 'itemClosed', at: NOW - DAY_MS / 2, payload: { item: item.id } });
const hand = (work: string, people: readonly string[]) =>
  entry({ kind: 'assigned', at: NOW - DAY_MS, payload: { work, people: [...people], day: '2031-05-06' } });
/** Coats of which all is on, ten days ago. */
const coated = (keys: readonly string[], classes?: readonly string[]) =>
  roomWith([])
    .coats.filter((coat) => keys.includes(coat.key) && (classes?.includes(coat.class) ?? true))
    .map(({ class: kind, key, side }, index) =>
      entry({
        kind: 'coat',
        at: NOW - 10 * DAY_MS + index,
        payload: { class: kind, key, ...(side ? { side } : {}), part: 1, mud: { kind: 'drying' } },
      }),
    );
const dueWith = (entries: readonly Entry[]) => dueItems(roomWith(entries)).map(({ defect }) => defect);

describe('what is mended by itself', () => {
  it('is what must not be covered, at any stage', () => {
    const now = DEFECT_KINDS.filter((kind) => DEFECTS[kind].mend === 'now');
    expect(now).toEqual(expect.arrayContaining(['bubble', 'beadOut', 'screwPop', 'torn', 'gap']));
    for (const stage of [[], coated(['tape']), coated(['tape', 'fill', 'finish'])])
      expect(dueWith([...stage, ...now.map((kind) => wrong(kind))])).toEqual(now);
  });

  it('is what the next coat takes along only where there is none to come on that class', () => {
    const all = ['tape', 'fill', 'finish', 'extra', 'sides'];
    expect(dueWith([...coated(['tape']), wrong('hollow', flat)])).toEqual([]);
    expect(dueWith([...coated(['tape']), ...coated(all.slice(1), ['flat']), wrong('hollow', flat)])).toEqual([
      'hollow',
    ]);
    // Without a piece it may lie on what still gets a coat.
    expect(dueWith([...coated(['tape']), ...coated(all.slice(1), ['flat']), wrong('hollow')])).toEqual([]);
    expect(dueWith([...coated(all), wrong('hollow')])).toEqual(['hollow']);
  });

  it('is not what sealing mends, nor what is mended', () => {
    expect(dueWith([...coated(['tape', 'fill', 'finish']), wrong('showThrough'), wrong('furred')])).toEqual([]);
    const bubble = wrong('bubble', flat);
    expect(dueWith([...coated(['tape']), bubble, mended(bubble)])).toEqual([]);
  });

  it('is work with the minutes of each kind, handed to somebody and done when nothing is left', () => {
    const [bubble, torn] = [wrong('bubble', flat), wrong('torn')];
    const entries = [...coated(['tape']), bubble, torn, hand('mend', [INES])];
    expect(hoursOf(entries, 'mend')).toBeCloseTo((MEND_MINUTES.bubble + MEND_MINUTES.torn) / 60 + ROOM_HOURS, 9);
    expect(hoursOf([...entries, mended(torn)], 'mend')).toBeCloseTo(MEND_MINUTES.bubble / 60 + ROOM_HOURS, 9);
    const [pass] = handedPasses(siteWith(entries).rooms);
    expect(pass).toMatchObject({ people: [INES], task: { pass: 'mend' } });
    const after = handedPasses(siteWith([...entries, mended(bubble), mended(torn)]).rooms);
    expect([pass, ...after].map((own) => own && passDone(own))).toEqual([0, 1]);
  });
});

describe('scraping that somebody is sent to do', () => {
  const taped = coated(['tape']);
  const scraped = entry({ kind: 'between', at: NOW - DAY_MS / 4, payload: { how: 'scrape' } });

  it('is an item of its own from when it was handed out until it is let go', () => {
    const whole = hoursOf(taped, 'fill.flat') ?? 0;
    const given = [...taped, hand('between.fill', [INES])];
    expect(hoursOf(taped, 'between.fill')).toBeUndefined();
    expect(hoursOf(given, 'between.fill')).toBeGreaterThan(ROOM_HOURS);
    expect(hoursOf(given, 'fill.flat')).toBeLessThan(whole);
    expect(itemsWith(given).handed[`${room.id}/between.fill`]).toEqual({ people: [INES], day: '2031-05-06' });
    expect(hoursOf([...given, hand('between.fill', [])], 'fill.flat')).toBeCloseTo(whole, 9);
  });

  it('is on a list beside that of whom runs the coats, and done by its own entry', () => {
    const given = [...taped, hand('fill', [TOBIN])];
    const list = (entries: readonly Entry[]) =>
      handedPasses(siteWith(entries).rooms).map((own) => [own.task.pass, own.people[0], passDone(own)]);
    const apart = [...given, hand('between.fill', [INES])];
    expect(list(given)).toEqual([['fill', TOBIN, 0]]);
    expect(list(apart)).toEqual(
      expect.arrayContaining([
        ['fill', TOBIN, 0],
        ['between.fill', INES, 0],
      ]),
    );
    expect(list([...apart, scraped])).toContainEqual(['between.fill', INES, 1]);
    const hours = (entries: readonly Entry[], pass: string) =>
      handedPasses(siteWith(entries).rooms).find(({ task }) => task.pass === pass)?.task.hours ?? 0;
    expect(hours(apart, 'fill')).toBeLessThan(hours(given, 'fill'));
    expect(hours(apart, 'fill') + hours(apart, 'between.fill')).toBeCloseTo(hours(given, 'fill') + ROOM_HOURS, 9);
  });

  it('takes no hours any more where it is done, whoever did it', () => {
    expect(hoursOf([...taped, scraped], 'fill.flat')).toBeLessThan(hoursOf(taped, 'fill.flat') ?? 0);
    expect(hoursOf([...taped, scraped, hand('between.fill', [INES])], 'between.fill')).toBeUndefined();
  });
});
