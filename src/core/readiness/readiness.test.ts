import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyChoices } from '../../../tests/houses/anyChoices';
import { roomOf } from '../../../tests/houses/readRooms';
import { airClock } from '../air/airClock';
import { takeOff } from '../joints/takeOff';
import type { Entry, NewEntry } from '../log/entry';
import { NOTHING_YET, type RoomState, stateOf } from '../log/stateOf';
import type { CoatedClass, CoatKey, Side } from '../method/coat';
import { resolveMethod, usualMethod } from '../method/resolveMethod';
import { roomCoats } from '../method/roomCoats';
import { tasksOf } from '../plan/tasksOf';
import { appliedCoats, NOTHING_APPLIED } from '../standing/appliedCoats';
import { whatNow } from './whatNow';

const HOUR = 3_600_000;
/** 70 °F and 50 %: the handbook says 17 h. */
const AIR = airClock([{ from: 0, air: { temperature: (70 - 32) / 1.8, humidity: 50 } }]);
const MARIT = '00000000-0000-4000-8000-00000000000a';
const TOBIN = '00000000-0000-4000-8000-00000000000b';

let count = 0;
function entry(
  fields: Pick<Entry, 'kind' | 'payload'> & { at?: number; by?: string; role?: Entry['role']; id?: string },
): Entry {
  count += 1;
  const {
    at = 0,
    by = TOBIN,
    role = 'finisher',
    id = `00000000-0000-4000-8000-${String(count).padStart(12, '0')}`,
    kind,
    payload,
  } = fields;
  const sent = { id, room: kind === 'void' ? null : 'room', at: new Date(at).toISOString(), kind, payload } as NewEntry;
  return { ...sent, seq: count, by, role, recordedAt: new Date(at).toISOString() };
}
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
  return whatNow(coats, method, state, appliedCoats(pieces, method, state.applied), AIR, now);
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

  it('is sanding once every class is dry, then checking, handing over, and nothing', () => {
    const log = everything(0);
    expect(roomNow(log, HOUR)).toMatchObject({ kind: 'wet' });
    const sanded = entry({ kind: 'sanded', at: 24 * HOUR, payload: {} });
    const checked = entry({ kind: 'checked', at: 25 * HOUR, by: MARIT, role: 'lead', payload: { level: 4 } });
    const over = entry({ kind: 'handedOver', at: 26 * HOUR, by: MARIT, role: 'lead', payload: {} });
    // The angles dry last, a quarter later than the flats.
    expect(roomNow(log, 18 * HOUR).kind).toBe('wet');
    expect(roomNow(log, 24 * HOUR).kind).toBe('sand');
    expect(roomNow([...log, sanded], 24 * HOUR).kind).toBe('check');
    expect(roomNow([...log, sanded, checked], 25 * HOUR).kind).toBe('handOver');
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
    expect(roomNow([held], 0)).toEqual({ kind: 'stuck', why: 'electrician until noon' });
    expect(roomNow([held, entry({ kind: 'released', payload: {}, role: 'lead', at: 1 })], 0).kind).toBe('go');
  });

  it('is stuck below 10 °C', () => {
    const cold = airClock([{ from: 0, air: { temperature: 8, humidity: 50 } }]);
    expect(whatNow(COATS, METHOD, NOTHING_YET, NOTHING_APPLIED, cold, 0).now).toMatchObject({
      kind: 'stuck',
      why: expect.stringContaining('too cold'),
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
    const hand = (person: string | null) =>
      entry({ kind: 'assigned', role: 'lead', at: count, payload: { pass: 'fill', person, day: '2031-05-06' } });
    const given = hand(TOBIN);
    expect(stateAfter([given]).assignments.get('fill')).toEqual({ person: TOBIN, day: '2031-05-06' });
    expect(stateAfter([given, hand(null)]).assignments.has('fill')).toBe(false);
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
    // common practice, no source: flats 90 ft/h, angles 60, fasteners 500 /h, five minutes to walk in
    expect(tape?.hours).toBeCloseTo(feet('flat') / 90 + feet('angle') / 60 + tally.fasteners / 500 + 5 / 60, 9);
  });

  it('are tape, fill, finish and sand; none at level 0', () => {
    expect(tasksOf(tally, COATS, METHOD).map(({ pass }) => pass)).toEqual(['tape', 'fill', 'finish', 'sand']);
    expect(tasksOf(tally, roomCoats(tally, usualMethod(0)), usualMethod(0))).toEqual([]);
  });
});

describe('pieces', () => {
  const long = roomOf("Hall: 20' x 10' x 8'");
  const off = takeOff(long.room, long.house);
  const method = resolveMethod({ unit: 'in', method: { level: 4, angles: 'opposite' } });
  const coats = roomCoats(off.tally, method);
  const idsOf = (kind: CoatedClass, face?: string) =>
    off.pieces
      .filter((piece) => piece.class === kind && (face === undefined || piece.face === face))
      .map(({ id }) => id);
  /** A coat on some pieces, as it is recorded. */
  const on = (kind: CoatedClass, key: CoatKey, at: number, ids: readonly string[], side?: Side): Entry => {
    const own = off.pieces.filter(({ id }) => ids.includes(id));
    const pieces = own.map(({ id, amount }) => ({ id, amount, of: amount }));
    const said = { class: kind, key, ...(side && { side }), part: 1, mud: { kind: 'drying' } } as const;
    return entry({
      kind: 'coat',
      at,
      payload: { ...said, pieces: pieces.map(({ id }) => ({ id })), on: pieces },
    });
  };
  const at = (entries: readonly Entry[], now: number, by = method) => {
    const state = stateAfter(entries);
    return whatNow(coats, by, state, appliedCoats(off.pieces, by, state.applied), AIR, now);
  };
  const nowOf = (kind: CoatedClass, ...asked: Parameters<typeof at>) =>
    at(...asked).classes.find((standing) => standing.class === kind)?.now;

  it('go on by themselves: the ceiling is finished while the walls still wait for their fill', () => {
    const entries = [on('flat', 'tape', 0, idsOf('flat')), on('flat', 'fill', 30 * HOUR, idsOf('flat', 'c0'))];
    const ceiling = off.pieces.filter(({ id }) => idsOf('flat', 'c0').includes(id));
    const part = ceiling.reduce((sum, { amount }) => sum + amount, 0) / (off.tally.classes.flat.length || 1);
    const wet = nowOf('flat', entries, 32 * HOUR);
    // The ceiling is wet, the walls can have their fill.
    expect(wet).toMatchObject({ kind: 'go', coat: { key: 'fill' }, share: expect.closeTo(part, 9) });
    expect(wet?.kind === 'go' && wet.ready.map(({ coat: { key }, pieces: some }) => [key, some])).toEqual([
      ['fill', undefined],
    ]);
    const dry = nowOf('flat', entries, 60 * HOUR);
    expect(dry?.kind === 'go' && dry.ready.map(({ coat: { key }, part: share }) => [key, share])).toEqual([
      ['fill', expect.closeTo(1 - part, 9)],
      ['finish', expect.closeTo(part, 9)],
    ]);
    expect(dry?.kind === 'go' && dry.ready[1]?.pieces).toEqual(idsOf('flat', 'c0'));
  });

  it('of a corner wait for its other side, and only for that', () => {
    const firsts = off.pieces.filter(({ class: kind, lies }) => kind === 'angle' && lies?.first);
    const [one] = firsts.filter(({ face }) => face === 'w0');
    const other = off.pieces.find(
      ({ id, class: kind }) => kind === 'angle' && id !== one?.id && id.startsWith(one?.id.split('@')[0] ?? ''),
    );
    if (!one || !other) throw new Error('a wall has corners');
    const entries = [on('angle', 'tape', 0, idsOf('angle')), on('angle', 'fill', 40 * HOUR, [one.id], 'first')];
    const ready = (now: number) => {
      const found = nowOf('angle', entries, now);
      return found?.kind === 'go' ? found.ready.map(({ coat: { side }, pieces: some }) => [side, some]) : found;
    };
    const rest = firsts.filter(({ id }) => id !== one.id).map(({ id }) => id);
    expect(ready(42 * HOUR)).toEqual([['first', undefined]]);
    expect(ready(90 * HOUR)).toEqual([
      ['first', undefined],
      ['second', [other.id]],
    ]);
    expect(rest.length).toBeGreaterThan(1);
  });

  it('cross a butt when it is firm: after half an hour, or when it is set', () => {
    const butts = idsOf('butt', 'w0');
    expect(butts.length).toBeGreaterThan(0);
    const taped = [on('butt', 'tape', HOUR, butts)];
    const crossing = off.pieces.filter(
      ({ class: kind, crosses }) => kind === 'flat' && crosses.some((id) => butts.includes(id)),
    );
    expect([...new Set(crossing.map(({ face }) => face))]).toEqual(['w0']);
    // Every other flat can be taped meanwhile.
    const soon = nowOf('flat', taped, HOUR + 60_000);
    const others = idsOf('flat').filter((id) => !crossing.some((piece) => piece.id === id));
    expect(soon?.kind === 'go' && soon.ready[0]?.pieces?.toSorted()).toEqual(others.toSorted());
    const left = [...taped, on('flat', 'tape', HOUR, others)];
    expect(nowOf('flat', left, HOUR + 60_000)).toMatchObject({
      kind: 'wet',
      crossed: true,
      coat: { class: 'butt' },
      next: { class: 'flat', key: 'tape' },
      until: 1.5 * HOUR,
    });
    expect(nowOf('flat', left, 1.5 * HOUR)).toMatchObject({ kind: 'go', coat: { key: 'tape' } });
    const hurried = resolveMethod({ unit: 'in', method: { level: 4, angles: 'opposite', order: 'noWait' } });
    expect(nowOf('flat', left, HOUR + 60_000, hurried)).toMatchObject({ kind: 'go' });
    const [first, ...more] = left;
    if (first?.kind !== 'coat') throw new Error('the butts are first');
    const setting = { ...first, payload: { ...first.payload, mud: { kind: 'setting' as const, minutes: 45 } } };
    expect(nowOf('flat', [setting, ...more], HOUR + 60_000)).toMatchObject({ kind: 'wet', until: 1.75 * HOUR });
  });

  it('that wait are told of when they are ready, though others can go', () => {
    const entries = [on('flat', 'tape', 0, idsOf('flat', 'c0'))];
    const standing = at(entries, HOUR).classes.find((one) => one.class === 'flat');
    expect(standing?.now.kind).toBe('go');
    const [wet] = standing?.coats ?? [];
    expect(standing?.changesAt).toBe(wet?.readyAt);
  });
});

describe('any history', () => {
  const kinds = [
    "Hall: 20' x 10' x 8', window 36x48 @36 bead",
    "Den: 12' x 14' x 9', soffit 12x10 wall 3, door 30x80 wall 1",
  ];
  const rooms = kinds.map((line) => roomOf(line));
  const anySaid = fc.record({
    coat: fc.nat(),
    pieces: fc.option(fc.array(fc.nat(), { minLength: 1, maxLength: 4 })),
    part: fc.constantFrom(0.5, 1),
    hour: fc.integer({ min: 0, max: 120 }),
    setting: fc.boolean(),
  });

  it('leaves something to do wherever a coat is missing, and offers it only where it is', () => {
    fc.assert(
      fc.property(
        fc.nat({ max: rooms.length - 1 }),
        anyChoices(),
        fc.array(anySaid, { maxLength: 25 }),
        fc.integer({ min: 0, max: 140 }),
        (which, choices, all, hour) => {
          const own = rooms[which];
          if (!own) return;
          const off = takeOff(own.room, own.house);
          const by = resolveMethod({ unit: 'in', method: { ...choices, level: 4 } });
          const asked = roomCoats(off.tally, by);
          const entries = all.flatMap(({ coat: place, pieces: some, part, hour: at, setting }) => {
            const one = asked[place % Math.max(1, asked.length)];
            const there = off.pieces.filter((piece) => piece.class === one?.class);
            if (!one || there.length === 0) return [];
            const named = some && [...new Set(some.map((index) => there[index % there.length]?.id ?? ''))];
            return entry({
              kind: 'coat',
              at: at * HOUR,
              payload: {
                class: one.class,
                key: one.key,
                part: named ? 1 : part,
                ...(named && { pieces: named.map((id) => ({ id })) }),
                mud: setting ? { kind: 'setting', minutes: 45 } : { kind: 'drying' },
              },
            });
          });
          const state = stateAfter(entries);
          const applied = appliedCoats(off.pieces, by, state.applied);
          const { classes } = whatNow(asked, by, state, applied, AIR, hour * HOUR);
          for (const { class: kind, coats, now } of classes) {
            const isMissing = coats.some(({ share }) => share < 1);
            if (isMissing) expect([kind, now.kind === 'dry' || now.kind === 'sanded']).toEqual([kind, false]);
            if (now.kind === 'wet') expect(now.until).toBeGreaterThan(hour * HOUR);
            if (now.kind !== 'go') continue;
            for (const { coat: next, part, pieces: some } of now.ready) {
              expect(part).toBeGreaterThan(0);
              expect(part).toBeLessThanOrEqual(1 + 1e-9);
              const has = applied.stretches.filter((stretch) =>
                stretch.coats.some(({ coat: own, share }) => own.id === next.id && share === 1),
              );
              const done = new Set(has.flatMap((stretch) => stretch.pieces.map(({ id }) => id)));
              expect((some ?? []).filter((id) => done.has(id))).toEqual([]);
            }
          }
        },
      ),
      { numRuns: 120 },
    );
  });
});
