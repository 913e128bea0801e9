import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { logEntry as entry, MARIT, TOBIN } from '../../../tests/houses/logEntry';
import { roomOf } from '../../../tests/houses/readRooms';
import { roomStanding } from '../../../tests/houses/roomStanding';
import { airClock } from '../air/airClock';
import { takeOff } from '../joints/takeOff';
import type { Entry } from '../log/entry';
import { handedIn, NOTHING_YET, type RoomState } from '../log/roomState';
import { stateOf } from '../log/stateOf';
import type { CoatedClass, CoatKey, Side } from '../method/coat';
import { usualMethod } from '../method/resolveMethod';
import { roomCoats } from '../method/roomCoats';
import { tasksOf } from '../work/tasksOf';

const HOUR = 3_600_000;
/** 70 °F and 50 %: the handbook says 17 h. */
const AIR = airClock([{ from: 0, air: { temperature: (70 - 32) / 1.8, humidity: 50 } }]);

function coat(
  kind: CoatedClass,
  key: CoatKey,
  at: number,
  share: 'all' | 'half' | number = 'all',
  side?: Side,
  mud: { kind: 'drying' } | { kind: 'setting'; minutes: number } = { kind: 'drying' },
): Entry {
  const part = typeof share === 'number' ? share : share === 'half' ? 0.5 : 1;
  return entry({ kind: 'coat', at, payload: { class: kind, key, ...(side ? { side } : {}), part, mud } });
}
const LINE = "A 12' x 10' x 8'";
const { house, room } = roomOf(LINE);
const { tally, pieces } = takeOff(room, house);
const METHOD = usualMethod(4);
const COATS = roomCoats(tally, METHOD);
const stateAfter = (entries: readonly Entry[]): RoomState => stateOf(entries).get('room') ?? NOTHING_YET;
function roomAt(entries: readonly Entry[], now: number, coats = COATS, method = METHOD) {
  const state = stateAfter(entries);
  return roomStanding({ tally, pieces, coats, method, state }, AIR, now);
}
const standingOf = (kind: CoatedClass, entries: readonly Entry[], now: number) =>
  roomAt(entries, now).classes.find((standing) => standing.class === kind)?.now;
const roomNow = (entries: readonly Entry[], now: number) => roomAt(entries, now).now;
const everything = (at: number) => COATS.map(({ class: kind, key, side }) => coat(kind, key, at, 'all', side));

describe('what can be done now', () => {
  it('starts with the tape coat', () => {
    expect(standingOf('flat', [], 0)).toMatchObject({ kind: 'go', coat: { key: 'tape' }, share: 0 });
  });

  it('waits the handbook’s 17 hours after a tape coat, then goes on to fill', () => {
    const log = [coat('flat', 'tape', 0)];
    expect(standingOf('flat', log, 16.9 * HOUR)).toMatchObject({ kind: 'wet', until: expect.closeTo(17 * HOUR, -3) });
    expect(standingOf('flat', log, 17.1 * HOUR)).toMatchObject({ kind: 'go', coat: { key: 'fill' } });
  });

  it('asks for the rest of a coat that is half on', () => {
    expect(standingOf('flat', [coat('flat', 'tape', 0, 'half')], HOUR)).toMatchObject({
      kind: 'go',
      coat: { key: 'tape' },
      share: 0.5,
    });
    expect(
      standingOf('flat', [coat('flat', 'tape', 0, 'half'), coat('flat', 'tape', HOUR, 'half')], 2 * HOUR),
    ).toMatchObject({ kind: 'wet' });
    expect(standingOf('flat', [coat('flat', 'tape', 0, 0.25)], HOUR)).toMatchObject({ share: 0.25 });
  });

  it('waits for the last part of a coat that was run in parts', () => {
    const log = [coat('flat', 'tape', 0, 'half'), coat('flat', 'tape', 10 * HOUR, 'half')];
    expect(standingOf('flat', log, 20 * HOUR)).toMatchObject({ kind: 'wet', until: expect.closeTo(27 * HOUR, -3) });
  });

  it('keeps the right sides of angles until the left ones are dry', () => {
    const log = [coat('angle', 'tape', 0), coat('angle', 'fill', 24 * HOUR, 'all', 'first')];
    expect(standingOf('angle', log, 30 * HOUR)).toMatchObject({ kind: 'wet', coat: { side: 'first' } });
    expect(standingOf('angle', log, 42 * HOUR)).toMatchObject({ kind: 'go', coat: { side: 'second' } });
  });

  it('lets setting mud be coated again after one and a half times its label', () => {
    const log = [coat('flat', 'tape', 0, 'all', undefined, { kind: 'setting', minutes: 20 })];
    expect(standingOf('flat', log, 29 * 60_000)).toMatchObject({ kind: 'wet' });
    expect(standingOf('flat', log, 31 * 60_000)).toMatchObject({ kind: 'go', coat: { key: 'fill' } });
  });

  it('is sanding once every class is dry, then checking, sealing, handing over, and nothing', () => {
    const log = everything(0);
    expect(roomNow(log, HOUR)).toMatchObject({ kind: 'wet' });
    const sanded = entry({ kind: 'sanded', at: 24 * HOUR, payload: {} });
    const checked = entry({ kind: 'checked', at: 25 * HOUR, by: MARIT, role: 'lead', payload: { level: 4 } });
    const sealed = entry({ kind: 'sealed', at: 25 * HOUR, payload: {} });
    const over = entry({ kind: 'handedOver', at: 26 * HOUR, by: MARIT, role: 'lead', payload: {} });
    // The angles dry last, a quarter later than the flats.
    expect(roomNow(log, 18 * HOUR).kind).toBe('wet');
    expect(roomNow(log, 24 * HOUR).kind).toBe('sand');
    expect(roomNow([...log, sanded], 24 * HOUR).kind).toBe('check');
    expect(roomNow([...log, sanded, checked], 25 * HOUR).kind).toBe('seal');
    expect(roomNow([...log, sanded, checked, sealed], 25 * HOUR)).toMatchObject({ kind: 'wet', sealer: true });
    expect(roomNow([...log, sanded, checked, sealed], 26.5 * HOUR).kind).toBe('handOver');
    expect(roomNow([...log, sanded, checked, over], 26 * HOUR).kind).toBe('done');
  });

  it('opens a sanded room again when new mud goes on', () => {
    const log = [
      ...everything(0),
      entry({ kind: 'sanded', at: 20 * HOUR, payload: {} }),
      coat('flat', 'finish', 21 * HOUR),
    ];
    expect(roomNow(log, 22 * HOUR).kind).toBe('wet');
    expect(roomNow(log, 60 * HOUR).kind).toBe('sand');
  });

  it('is stuck where the room is held, with the reason, until it is released', () => {
    const held = entry({ kind: 'held', payload: { why: 'electrician until noon' }, role: 'lead' });
    expect(roomNow([held], 0)).toEqual({ kind: 'stuck', why: { kind: 'held', why: 'electrician until noon' } });
    expect(roomNow([held, entry({ kind: 'released', payload: {}, role: 'lead', at: 1 })], 0).kind).toBe('go');
  });

  it('is free again by itself at the time that was said', () => {
    const until = new Date(5 * HOUR).toISOString();
    const held = entry({ kind: 'held', payload: { why: 'electrician', until }, role: 'lead' });
    expect(roomNow([held], 5 * HOUR - 1)).toEqual({ kind: 'stuck', why: { kind: 'held', why: 'electrician' } });
    expect(roomNow([held], 5 * HOUR).kind).toBe('go');
  });

  it('is stuck below 10 °C', () => {
    const cold = airClock([{ from: 0, air: { temperature: 8, humidity: 50 } }]);
    expect(
      roomStanding({ tally, pieces, coats: COATS, method: METHOD, state: NOTHING_YET }, cold, 0).now,
    ).toMatchObject({
      kind: 'stuck',
      why: { kind: 'cold' },
    });
  });

  it('at level 5 keeps the skim until every joint is dry', () => {
    const coats = roomCoats(tally, usualMethod(5));
    const surface = (entries: readonly Entry[], now: number) =>
      roomAt(entries, now, coats, usualMethod(5)).classes.find((standing) => standing.class === 'surface')?.now.kind;
    expect(surface([], 0)).toBe('stuck');
    expect(surface(everything(0), 24 * HOUR)).toBe('go');
  });
});

describe('the log', () => {
  it('folds to the same state in whatever order entries were recorded', () => {
    const entries = [
      coat('flat', 'tape', 0, 'half'),
      coat('flat', 'tape', HOUR, 'half'),
      coat('flat', 'fill', 20 * HOUR),
      entry({ kind: 'sanded', at: 60 * HOUR, payload: {} }),
    ];
    const state = stateAfter(entries);
    fc.assert(
      fc.property(fc.shuffledSubarray(entries, { minLength: entries.length }), (shuffled) => {
        expect(stateAfter(shuffled)).toEqual(state);
      }),
    );
  });

  it('forgets a voided entry, also when the void came first', () => {
    const done = coat('flat', 'tape', 0);
    const taken = entry({ kind: 'void', payload: { target: done.id }, at: HOUR });
    expect(stateAfter([done, taken]).applied).toHaveLength(0);
    expect(stateAfter([taken, done]).applied).toHaveLength(0);
  });

  it('lets only its author or a lead take an entry back', () => {
    const done = coat('flat', 'tape', 0);
    const foreign = entry({ kind: 'void', by: MARIT, role: 'finisher', payload: { target: done.id } });
    const lead = entry({ kind: 'void', by: MARIT, role: 'lead', payload: { target: done.id } });
    expect(stateAfter([done, foreign]).applied).toHaveLength(1);
    expect(stateAfter([done, lead]).applied).toHaveLength(0);
  });

  it('keeps who a pass was handed to, and takes it back from them', () => {
    const hand = (person: string | null, at: number) =>
      entry({
        kind: 'assigned',
        role: 'lead',
        at,
        payload: { work: 'fill', people: person === null ? [] : [person], day: '2031-05-06' },
      });
    const given = hand(TOBIN, 1);
    expect(handedIn(stateAfter([given]), 'fill.flat', 'fill')).toMatchObject({ people: [TOBIN], day: '2031-05-06' });
    expect(handedIn(stateAfter([given, hand(null, 2)]), 'fill.flat', 'fill')).toBeUndefined();
  });

  it('closes an open item', () => {
    const item = entry({ kind: 'item', payload: { text: 'pinholes' } });
    const closed = entry({ kind: 'itemClosed', payload: { item: item.id }, at: HOUR });
    expect(stateAfter([item]).items[0]?.closed).toBeUndefined();
    expect(stateAfter([item, closed]).items[0]?.closed?.at).toBe(new Date(HOUR).toISOString());
  });
});

describe('the passes of a room', () => {
  it('take the hours of the trade’s table: the tape round of the room, by hand', () => {
    const [tape] = tasksOf(tally, COATS, METHOD);
    const feet = (kind: 'flat' | 'angle') => tally.classes[kind].length / 304.8;
    const { one, both } = tally.factoryEdgeInAngle;
    // common practice, no source: flats 90 ft/h, angles 60, fasteners 500 /h, five minutes to walk in; factory edges flushed at 200 ft/h,
    // 40 three-ways an hour
    const beside = (one + both) / 304.8 / 200 + tally.threeWays / 40;
    expect(tape?.hours).toBeCloseTo(
      feet('flat') / 90 + feet('angle') / 60 + tally.fasteners / 500 + beside + 5 / 60,
      9,
    );
  });

  it('are tape, fill, finish and sand; none at level 0', () => {
    expect(tasksOf(tally, COATS, METHOD).map(({ pass }) => pass)).toEqual(['tape', 'fill', 'finish', 'sand']);
    expect(tasksOf(tally, roomCoats(tally, usualMethod(0)), usualMethod(0))).toEqual([]);
  });
});
