import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyChoices } from '../../../tests/houses/anyChoices';
import { logEntry as entry } from '../../../tests/houses/logEntry';
import { roomOf } from '../../../tests/houses/readRooms';
import { roomStanding } from '../../../tests/houses/roomStanding';
import { airClock } from '../air/airClock';
import { takeOff } from '../joints/takeOff';
import type { Entry } from '../log/entry';
import { NOTHING_YET, type RoomState, stateOf } from '../log/stateOf';
import type { CoatedClass, CoatKey, Side } from '../method/coat';
import { resolveMethod } from '../method/resolveMethod';
import { roomCoats } from '../method/roomCoats';
import { appliedCoats } from '../standing/appliedCoats';

const HOUR = 3_600_000;
/** 70 °F and 50 %: the handbook says 17 h. */
const AIR = airClock([{ from: 0, air: { temperature: (70 - 32) / 1.8, humidity: 50 } }]);
const stateAfter = (entries: readonly Entry[]): RoomState => stateOf(entries).get('room') ?? NOTHING_YET;

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
    return roomStanding({ ...off, coats, method: by, state }, AIR, now);
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

  it.each([
    ['the one logged first', 0],
    ['the one logged last', 1],
  ])('wait for the latest of the butts that they cross, here %s', (_words, late) => {
    const wide = roomOf("Hall: 30' x 10' x 8'");
    const { pieces } = takeOff(wide.room, wide.house);
    const crossing = pieces.find(({ class: kind, crosses }) => kind === 'flat' && crosses.length > 1);
    if (!crossing) throw new Error('a wall 30 ft long has two butts that a flat crosses');
    const put = (id: string, place: number): Entry => {
      const own = pieces.find((piece) => piece.id === id);
      const of = own?.amount ?? 0;
      // Setting mud of 90 minutes is set at half past one, drying mud is firm half an hour after it went on.
      const mud = place === late ? ({ kind: 'setting', minutes: 90 } as const) : ({ kind: 'drying' } as const);
      const payload = {
        class: 'butt',
        key: 'tape',
        part: 1,
        mud,
        pieces: [{ id }],
        on: [{ id, amount: of, of }],
      } as const;
      return entry({ kind: 'coat', at: place * 60_000, payload });
    };
    const [first = '', second = '', ...others] = crossing.crosses;
    const state = stateAfter([put(first, 0), put(second, 1), ...others.map((id) => put(id, 2))]);
    const { tally } = takeOff(wide.room, wide.house);
    const room = { tally, pieces, coats: roomCoats(tally, method), method, state };
    const flat = roomStanding(room, AIR, 3 * 60_000).classes.find((one) => one.class === 'flat');
    const untaped = pieces.filter(
      (piece) => piece.class === 'flat' && !piece.crosses.some((id) => crossing.crosses.includes(id)),
    );
    expect(flat?.now.kind === 'go' && flat.now.ready[0]?.pieces?.toSorted()).toEqual(
      untaped.map(({ id }) => id).toSorted(),
    );
    expect(flat?.changesAt).toBe((90 + late) * 60_000);
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
          const { classes } = roomStanding({ ...off, coats: asked, method: by, state }, AIR, hour * HOUR);
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
