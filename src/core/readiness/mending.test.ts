import { describe, expect, it } from 'vitest';
import { logEntry as entry, INES, TOBIN } from '../../../tests/houses/logEntry';
import { oneRoomSnapshot } from '../../../tests/houses/oneRoomSnapshot';
import { EVERY_COAT, recordedRoom, type Sent } from '../../../tests/houses/recordedRoom';
import type { Entry } from '../log/entry';
import { DEFECT_KINDS, DEFECTS, type DefectKind } from '../method/defects';
import { handedPasses, passDone } from '../schedule/assignedWork';
import { MEND_MINUTES, ROOM_HOURS } from '../work/usualRates';
import { dueItems, mendedBefore, mendsIn } from './mending';

const NOW = Date.parse('2031-05-06T11:00:00Z');
const DAY_MS = 86_400_000;
const {
  room,
  taken: TAKEN,
  snapshotWith,
  roomWith,
  inputWith: itemsWith,
} = oneRoomSnapshot("A 12' x 10' x 8', door 32x80 wall 1 bead", NOW);
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
    expect(hoursOf(entries, 'mend')).toBeCloseTo((MEND_MINUTES.bubble + MEND_MINUTES.torn) / 60, 9);
    expect(hoursOf([...entries, mended(torn)], 'mend')).toBeCloseTo(MEND_MINUTES.bubble / 60, 9);
    const [pass] = handedPasses(snapshotWith(entries).rooms, '2031-05-06');
    expect(pass).toMatchObject({ people: [INES], task: { pass: 'mend' } });
    const after = handedPasses(snapshotWith([...entries, mended(bubble), mended(torn)]).rooms, '2031-05-06');
    expect([pass, ...after].map((own) => own && passDone(own))).toEqual([0, 1]);
  });
});

describe('what must not be covered', () => {
  const taped = coated(['tape']);
  const classNow = (entries: readonly Entry[], kind: string) =>
    roomWith(entries).standing.classes.find((own) => own.class === kind)?.now;
  /** The next coats that can go, and on which pieces where that is not on all. */
  const readyOn = (entries: readonly Entry[], kind: string) => {
    const now = classNow(entries, kind);
    return now?.kind === 'go' ? now.ready.map(({ part, pieces }) => ({ part, pieces })) : [];
  };
  const own = (kind: string) => TAKEN.pieces.filter((piece) => piece.class === kind);

  it('keeps the next coat off its joint, and off nothing else', () => {
    const others = own('flat').filter(({ id }) => id !== flat);
    const all = own('flat').reduce((sum, { amount }) => sum + amount, 0);
    const [ready] = readyOn([...taped, wrong('bubble', flat)], 'flat');
    expect([...(ready?.pieces ?? [])].sort()).toEqual(others.map(({ id }) => id).sort());
    expect(ready?.part).toBeCloseTo(others.reduce((sum, { amount }) => sum + amount, 0) / all, 9);
    for (const kind of ['angle', 'bead', 'fasteners']) {
      expect(readyOn(taped, kind).length).toBeGreaterThan(0);
      expect(readyOn([...taped, wrong('bubble', flat)], kind)).toEqual(readyOn(taped, kind));
    }
  });

  it('keeps the tape off too', () => {
    const [ready] = readyOn([wrong('torn', flat)], 'flat');
    expect(ready?.pieces?.length).toBe(own('flat').length - 1);
    expect(ready?.pieces).not.toContain(flat);
    expect(readyOn([], 'flat')).toEqual([{ part: 1, pieces: undefined }]);
  });

  it('keeps it off both sides of an angle', () => {
    const [side] = own('angle');
    const pieces = readyOn([...taped, wrong('bubble', side?.id)], 'angle').flatMap((ready) => ready.pieces ?? []);
    const joint = side?.id.replace(/@.*/, '');
    expect(pieces.length).toBeGreaterThan(0);
    expect(pieces.filter((id) => id.startsWith(`${joint}@`))).toEqual([]);
  });

  it('keeps it off all where there is nothing else, which is said', () => {
    const entries = [...taped, ...own('flat').map(({ id }) => wrong('bubble', id))];
    expect(classNow(entries, 'flat')).toMatchObject({ kind: 'stuck', why: { kind: 'mend' } });
    expect(roomWith(entries).standing.now.kind).toBe('go');
  });

  it('is in nobody’s way once it is mended, nor where it names no joint or can wait', () => {
    const bubble = wrong('bubble', flat);
    const fasteners = own('fasteners')[0]?.id;
    for (const more of [
      [bubble, mended(bubble)],
      [wrong('bubble')],
      [wrong('screwPop', fasteners)],
      [wrong('ridge', flat)],
    ])
      for (const kind of ['flat', 'fasteners'])
        expect(readyOn([...taped, ...more], kind)).toEqual(readyOn(taped, kind));
  });

  it('comes first in the plan, and what can go meanwhile waits for no mud of it', () => {
    const { items } = itemsWith([...taped, wrong('bubble', flat)]);
    const waits = (work: string) => items.find((item) => item.work === work)?.after;
    const first = { item: `${room.id}/mend`, until: 'ended', muds: [] };
    expect(waits('fill.flat')).toEqual([first, { item: `${room.id}/fill.fasteners`, until: 'ended', muds: [] }]);
    expect(waits('fill.fasteners')).toEqual([]);
    // Of unknown place it is before everything, and nothing waits for it to dry.
    const anywhere = itemsWith([...taped, wrong('bubble')]).items;
    for (const item of anywhere.filter(({ pass }) => pass === 'fill'))
      expect(item.after).toContainEqual({ item: `${room.id}/mend`, until: 'ended', muds: [] });
  });

  it('is told to whoever coats its class', () => {
    const entries = [...taped, wrong('bubble', flat), wrong('torn'), wrong('ridge', flat)];
    const told = (kinds: readonly ('flat' | 'angle')[]) =>
      mendedBefore(roomWith(entries), kinds).map(({ defect }) => defect);
    expect(told(['flat'])).toEqual(['bubble', 'torn']);
    expect(told(['angle'])).toEqual(['torn']);
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
    expect(itemsWith(given).handed[`${room.id}/between.fill`]).toMatchObject({ people: [INES], day: '2031-05-06' });
    expect(hoursOf([...given, hand('between.fill', [])], 'fill.flat')).toBeCloseTo(whole, 9);
  });

  it('is on a list beside that of whom runs the coats, and done by its own entry', () => {
    const given = [...taped, hand('fill', [TOBIN])];
    const list = (entries: readonly Entry[]) =>
      handedPasses(snapshotWith(entries).rooms, '2031-05-06').map((own) => [
        own.task.pass,
        own.people[0],
        passDone(own),
      ]);
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
      handedPasses(snapshotWith(entries).rooms, '2031-05-06').find(({ task }) => task.pass === pass)?.task.hours ?? 0;
    expect(hours(apart, 'fill')).toBeLessThan(hours(given, 'fill'));
    expect(hours(apart, 'fill') + hours(apart, 'between.fill')).toBeCloseTo(hours(given, 'fill') + ROOM_HOURS, 9);
  });

  it('takes no hours any more where it is done, whoever did it', () => {
    expect(hoursOf([...taped, scraped], 'fill.flat')).toBeLessThan(hoursOf(taped, 'fill.flat') ?? 0);
    expect(hoursOf([...taped, scraped, hand('between.fill', [INES])], 'between.fill')).toBeUndefined();
  });
});

describe('what is to be fixed by itself', () => {
  const ON = EVERY_COAT;
  const said = (hours: number, defect: string, more: object = {}): Sent => [hours, 'item', { defect, ...more }];
  const WALK = { method: { level: 4, acceptance: 'walk' } };
  const GOOD: Sent = [0, 'accepted', { found: 'good' }];
  const HELD: Sent = [0, 'accepted', { found: 'held', faces: ['w0'] }];
  const TABLE: readonly (readonly [words: string, sent: readonly Sent[], due: readonly string[], head?: object])[] = [
    [
      'a gap in a room that was looked at: the pre-fill takes it',
      [GOOD, said(1, 'gap', { face: 'w0', length: 600 })],
      [],
    ],
    ['a gap that somebody came upon: the pre-fill takes it', [said(1, 'gap', { face: 'w0', length: 600 })], []],
    ['a gap of which nobody knows how long', [GOOD, said(1, 'gap', { face: 'w0' })], ['gap']],
    ['a gap that was taped over', [GOOD, GAP, ...ON.map(overGap)], ['gap']],
    ['a torn face before tape', [said(1, 'torn', { face: 'w0' })], ['torn']],
    ['a torn face that is held for the hanger', [HELD, said(1, 'torn', { face: 'w0' })], [], WALK],
    [
      'a torn face beside the held one',
      [HELD, [0, 'accepted', { found: 'good', faces: ['w1'] }], said(1, 'torn', { face: 'w1' })],
      ['torn'],
      WALK,
    ],
    ['something torn, nobody says where', [HELD, said(1, 'torn')], ['torn'], WALK],
    ['a hollow with coats to come', [said(1, 'hollow')], []],
    ['a hollow once all is on', [...ON, said(118, 'hollow')], ['hollow']],
    ['words once all is on', [...ON, [118, 'item', { text: 'odd' }]], ['unnamed']],
    ['words with coats to come', [[1, 'item', { text: 'odd' }]], []],
    ['what shows through, and it will be sealed', [...ON, said(118, 'showThrough')], []],
    [
      'what shows through, and nobody seals',
      [...ON, said(118, 'showThrough')],
      ['showThrough'],
      { method: { level: 4, last: 'none' } },
    ],
    ['two things at once', [...ON, said(118, 'hollow'), said(118, 'bubble')], ['hollow', 'bubble']],
  ];
  it.each(TABLE.map(([words, ...row]) => [words, row] as const))('%s', (_words, [sent, due, head]) => {
    const { room: own, refused } = recordedRoom(sent, 119 + 2, head ? { head } : {});
    expect(refused.filter(Boolean)).toEqual([]);
    expect(dueItems(own).map(({ defect }) => defect ?? 'unnamed')).toEqual(due);
  });
});

describe('the work of fixing', () => {
  const mendOf = (defect: string | undefined, more: object = {}) => {
    const { room: own } = recordedRoom(
      [...EVERY_COAT, [118, 'item', { ...(defect ? { defect } : { text: 'odd' }), ...more }]],
      119,
    );
    return { own, mends: mendsIn(own) };
  };
  it('takes its minutes, leaves its mud wet, and lies on its part of a class', () => {
    const { own } = mendOf('hollow');
    const flats = own.pieces.filter((piece) => piece.class === 'flat');
    const angles = own.pieces.filter((piece) => piece.class === 'angle');
    const [one] = flats;
    const corner = angles.find(({ faces }) => faces.length === 2);
    if (!one || !corner) throw new Error('the room has flats and angles');
    const amount = (of: typeof flats) => of.reduce((all, piece) => all + piece.amount, 0);
    const mud = { mud: { kind: 'drying' }, substrate: 'mud' };
    expect(mendOf('hollow', { piece: one.id }).mends).toEqual([
      {
        hours: MEND_MINUTES.hollow / 60,
        class: 'flat',
        first: false,
        share: one.amount / amount(flats),
        mud: expect.objectContaining({ ...mud, lies: 'open' }),
      },
    ]);
    // A bubble at a corner is cut out on both of its sides.
    expect(mendOf('bubble', { piece: corner.id }).mends).toEqual([
      {
        hours: MEND_MINUTES.bubble / 60,
        class: 'angle',
        first: true,
        share: (2 * corner.amount) / amount(angles),
        mud: expect.objectContaining({ ...mud, lies: 'corner' }),
      },
    ]);
    expect(mendOf('hollow').mends).toEqual([
      {
        hours: MEND_MINUTES.hollow / 60,
        class: undefined,
        first: false,
        share: 0,
        mud: expect.not.objectContaining({ lies: expect.anything() }),
      },
    ]);
    expect(mendOf('ridge').mends).toMatchObject([{ hours: MEND_MINUTES.ridge / 60, mud: undefined }]);
    expect(mendOf(undefined).mends).toMatchObject([{ hours: MEND_MINUTES.unnamed / 60, mud: undefined, first: false }]);
    expect(mendsIn(recordedRoom(EVERY_COAT, 119).room)).toEqual([]);
  });
});

const ITEM = '00000000-0000-4000-8000-0000000000f1';
const GAP: Sent = [1, 'item', { defect: 'gap', face: 'w0', length: 600 }, ITEM];
/** A coat two hours later, over the gap. */
function overGap([hours, kind, payload]: Sent): Sent {
  return [hours + 2, kind, { ...payload, covers: { items: [ITEM], why: 'nobody filled it' } }];
}
