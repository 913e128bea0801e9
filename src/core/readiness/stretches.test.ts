import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyChoices } from '../../../tests/houses/anyChoices';
import { logEntry as entry } from '../../../tests/houses/logEntry';
import { roomOf } from '../../../tests/houses/readRooms';
import { roomStanding } from '../../../tests/houses/roomStanding';
import { airClock } from '../air/airClock';
import { takeOff } from '../joints/takeOff';
import type { Entry } from '../log/entry';
import { NOTHING_YET, type RoomState } from '../log/roomState';
import { stateOf } from '../log/stateOf';
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

  const TAPED = [...new Set(off.pieces.map((piece) => piece.class))]
    .filter((kind) => kind !== 'surface')
    .map((kind) => on(kind, 'tape', 0, idsOf(kind)));
  /** When all tape is dry. */
  const FILL = 100 * HOUR;
  const crossing = (kind: CoatedClass, ids: readonly string[]) =>
    off.pieces.filter((piece) => piece.class === kind && piece.crosses.some((id) => ids.includes(id)));

  it('wait half an hour before they cross a butt that was filled, or until it is set', () => {
    const butts = idsOf('butt', 'w0');
    expect(butts.length).toBeGreaterThan(0);
    const filled = [...TAPED, on('butt', 'fill', FILL, butts)];
    const over = crossing('flat', butts);
    expect([...new Set(over.map(({ face }) => face))]).toEqual(['w0']);
    // Every other flat can be filled meanwhile.
    const soon = nowOf('flat', filled, FILL + 60_000);
    const others = idsOf('flat').filter((id) => !over.some((piece) => piece.id === id));
    expect(soon?.kind === 'go' && soon.ready[0]?.pieces?.toSorted()).toEqual(others.toSorted());
    const left = [...filled, on('flat', 'fill', FILL, others)];
    expect(nowOf('flat', left, FILL + 60_000)).toMatchObject({
      kind: 'wet',
      crossed: true,
      coat: { class: 'butt' },
      next: { class: 'flat', key: 'fill' },
      until: FILL + HOUR / 2,
    });
    expect(nowOf('flat', left, FILL + HOUR / 2)).toMatchObject({ kind: 'go', coat: { key: 'fill' } });
    const hurried = resolveMethod({ unit: 'in', method: { level: 4, angles: 'opposite', order: 'noWait' } });
    expect(nowOf('flat', left, FILL + 60_000, hurried)).toMatchObject({ kind: 'go' });
    const setting = left.map((one) =>
      one.kind === 'coat' && one.payload.class === 'butt' && one.payload.key === 'fill'
        ? { ...one, payload: { ...one.payload, mud: { kind: 'setting' as const, minutes: 45 } } }
        : one,
    );
    expect(nowOf('flat', setting, FILL + 60_000)).toMatchObject({ kind: 'wet', until: FILL + 0.75 * HOUR });
  });

  it.each([
    ['butt', 'flat'],
    ['flat', 'butt'],
    ['butt', 'angle'],
    ['angle', 'butt'],
    ['flat', 'angle'],
    ['angle', 'flat'],
  ] as const)('whichever comes first is firm before the other: %s, then %s', (first, then) => {
    const side = first === 'angle' ? 'first' : undefined;
    const ids = off.pieces
      .filter(({ class: kind, lies }) => kind === first && (lies?.first ?? true))
      .map(({ id }) => id);
    const filled = [...TAPED, on(first, 'fill', FILL, ids, side)];
    const over = crossing(then, ids).filter(({ lies }) => lies?.first ?? true);
    expect(over.length).toBeGreaterThan(0);
    const goes = (now: number) => {
      const own = nowOf(then, filled, now);
      return new Set(own?.kind === 'go' ? (own.ready[0]?.pieces ?? idsOf(then)) : []);
    };
    const soft = goes(FILL + HOUR / 2 - 1);
    expect(over.filter(({ id }) => soft.has(id))).toEqual([]);
    const firm = goes(FILL + HOUR / 2);
    expect(over.filter(({ id }) => !firm.has(id))).toEqual([]);
  });

  it('cross what was taped just now: nobody waits within the tape round', () => {
    for (const first of ['butt', 'flat', 'angle'] as const)
      for (const then of ['butt', 'flat', 'angle'] as const)
        if (first !== then)
          expect(nowOf(then, [on(first, 'tape', 0, idsOf(first))], 60_000)).toMatchObject({
            kind: 'go',
            ready: [{ part: 1, pieces: undefined }],
          });
  });

  it('that are run together do not wait for each other', () => {
    const flats = off.pieces.filter(({ class: kind }) => kind === 'flat');
    const ids = new Set(flats.map(({ id }) => id));
    expect(flats.flatMap(({ crosses }) => crosses.filter((id) => ids.has(id)))).toEqual([]);
  });

  it.each([
    ['the one logged first', 0],
    ['the one logged last', 1],
  ])('wait for the latest of what they cross, here %s', (_words, late) => {
    const wide = roomOf("Hall: 30' x 10' x 8'");
    const { pieces, tally } = takeOff(wide.room, wide.house);
    const isButt = (id: string) => pieces.some((piece) => piece.id === id && piece.class === 'butt');
    const over = pieces.find(({ class: kind, crosses }) => kind === 'flat' && crosses.filter(isButt).length > 1);
    if (!over) throw new Error('a wall 30 ft long has two butts that a flat crosses');
    const put = (id: string, key: 'tape' | 'fill', at: number, minutes?: number): Entry => {
      const { class: kind = 'butt', amount: of = 0 } = pieces.find((piece) => piece.id === id) ?? {};
      const mud = minutes ? ({ kind: 'setting', minutes } as const) : ({ kind: 'drying' } as const);
      const payload = { class: kind, key, part: 1, mud, pieces: [{ id }], on: [{ id, amount: of, of }] } as const;
      return entry({ kind: 'coat', at, payload });
    };
    const [first = '', second = ''] = over.crosses.filter(isButt);
    const taped = pieces
      .filter(({ class: kind }) => kind === 'butt' || kind === 'flat')
      .map(({ id }) => put(id, 'tape', 0));
    // Setting mud of 90 minutes is set an hour and a half after it went on, drying mud is firm after half an hour.
    const filled = [first, second].map((id, place) =>
      put(id, 'fill', FILL + place * 60_000, place === late ? 90 : undefined),
    );
    const state = stateAfter([...taped, ...filled]);
    const room = { tally, pieces, coats: roomCoats(tally, method), method, state };
    const flat = roomStanding(room, AIR, FILL + 3 * 60_000).classes.find((one) => one.class === 'flat');
    const free = pieces.filter(
      (piece) => piece.class === 'flat' && !piece.crosses.some((id) => id === first || id === second),
    );
    expect(flat?.now.kind === 'go' && flat.now.ready[0]?.pieces?.toSorted()).toEqual(
      free.map(({ id }) => id).toSorted(),
    );
    expect(flat?.changesAt).toBe(FILL + (90 + late) * 60_000);
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
