import { describe, expect, it } from 'vitest';
import { logEntry as entry, INES } from '../../../tests/houses/logEntry';
import { oneRoomSnapshot } from '../../../tests/houses/oneRoomSnapshot';
import type { Piece } from '../joints/pieces';
import type { Entry } from '../log/entry';
import type { OpenItem, Prefill } from '../log/roomState';
import { NO_CATALOGUE, waresOf } from '../materials/catalogue';
import { GAPPED } from '../method/smallWork';
import { handedPasses, passDone } from '../schedule/assignedWork';
import { nextChange } from '../snapshot/nextChange';
import { stockOf, usedIn } from '../stock/stock';
import { ROOM_HOURS } from '../work/usualRates';
import { prefillOf } from './prefillOf';

const NOW = Date.parse('2031-05-06T11:00:00Z');
const MINUTE_MS = 60_000;
const { taken, snapshotWith, roomWith, inputWith } = oneRoomSnapshot("A 30' x 14' x 8', door 32x80 wall 1", NOW);

const filled = (
  faces: readonly string[] | undefined,
  { at = NOW - 3 * MINUTE_MS, minutes = 45, mixed = 10 }: { at?: number; minutes?: number; mixed?: number } = {},
) =>
  entry({
    kind: 'prefilled',
    at,
    payload: {
      ...(faces ? { faces: [...faces] } : {}),
      mud: { kind: 'setting', minutes },
      mixedAt: new Date(at - mixed * MINUTE_MS).toISOString(),
    },
  });
const looked = () => entry({ kind: 'accepted', at: NOW - 60 * MINUTE_MS, payload: { found: 'good' } });
const gap = (face: string, length: number) =>
  entry({ kind: 'item', at: NOW - 50 * MINUTE_MS, payload: { defect: 'gap', face, length } });
const itemOf = (entries: readonly Entry[]) => inputWith(entries).items.find(({ work }) => work === 'prefill');
const fromOf = (entries: readonly Entry[]) =>
  inputWith(entries).items.flatMap(({ work, from }) => (work.startsWith('tape.') ? [from] : []));
const tapeNow = (entries: readonly Entry[]) => roomWith(entries).standing.classes.map(({ now }) => now.kind);

describe('pre-filling before the tape', () => {
  it('is the gaps that were found, less those that were filled on their faces', () => {
    const found = [looked(), gap('w0', 1000), gap('c0', 3000)];
    expect(roomWith(found).prefill).toMatchObject({ found: 4000, filled: [], done: 0, firmAt: undefined });
    // 4 m at 60 ft an hour, and its part of the five minutes of setting up for the tape round.
    const round = inputWith(found).items.filter(({ pass }) => pass === 'tape');
    const all = round.reduce((sum, { hours }) => sum + hours, 0);
    expect(itemOf(found)?.hours).toBeCloseTo((4000 / 304.8 / 60) * (all / (all - ROOM_HOURS)), 9);
    const some = [...found, filled(['w0'])];
    expect(roomWith(some).prefill).toMatchObject({ found: 4000, filled: [{ litres: 0.08 }], done: 0.25 });
    expect(itemOf(some)).toMatchObject({ part: 0.75 });
    expect(itemOf(some)?.hours).toBeCloseTo(0.75 * (itemOf(found)?.hours ?? 0), 9);
    expect(roomWith(some).state.items.map(({ closed }) => closed?.prefilled)).toEqual([true, undefined]);
    const everything = [...some, filled(undefined)];
    expect(roomWith(everything).prefill).toMatchObject({
      found: 4000,
      filled: [{ litres: 0.08 }, { litres: 0.24 }],
      done: 1,
    });
    expect(itemOf(everything)).toBeUndefined();
  });

  it('is guessed where nobody looked, by the butts and mixed joints of the faces that were filled', () => {
    const gaping = taken.pieces.filter(({ class: kind }) => kind === 'butt' || kind === 'mixed');
    const sum = (face?: string) =>
      gaping.reduce((all, piece) => (face === undefined || piece.face === face ? all + piece.amount : all), 0);
    expect(sum('c0')).toBeGreaterThan(0);
    expect(sum('c0')).toBeLessThan(sum());
    const whole = itemOf([])?.hours ?? 0;
    expect(whole).toBeGreaterThan((sum() * GAPPED) / 304.8 / 60);
    const some = [filled(['c0'])];
    expect(roomWith(some).prefill.filled[0]?.litres).toBeCloseTo((sum('c0') * GAPPED * 0.08) / 1000, 9);
    expect(itemOf(some)?.hours).toBeCloseTo(whole * (1 - sum('c0') / sum()), 9);
    expect(itemOf([filled(undefined)])).toBeUndefined();
  });

  it('takes mud by how wide it is, where somebody says so', () => {
    const wide = entry({
      kind: 'item',
      at: NOW - 50 * MINUTE_MS,
      payload: { defect: 'corner', face: 'w0', length: 500, width: 20 },
    });
    const mud = (entries: readonly Entry[]) =>
      roomWith(entries)
        .tasks.flatMap(({ small }) => small)
        .find(({ kind }) => kind === 'prefill')?.litres;
    // 500 × 20 × 12.7 mm, and a metre of 1/4 in.
    expect(mud([looked(), wide, gap('c0', 1000)])).toBeCloseTo(0.127 + 0.08, 9);
    expect(roomWith([looked(), wide, gap('c0', 1000), filled(['w0'])]).prefill.filled[0]?.litres).toBeCloseTo(0.127, 9);
  });

  it('holds up the tape until it is firm: setting mud from its mixing, drying mud for half an hour', () => {
    const set = NOW - 13 * MINUTE_MS + 45 * MINUTE_MS;
    const entries = [filled(undefined)];
    expect(new Set(tapeNow([]))).toEqual(new Set(['go']));
    expect(new Set(tapeNow(entries))).toEqual(new Set(['wet']));
    expect(roomWith(entries).standing.now).toEqual({ kind: 'wet', until: set, allBy: set });
    expect(nextChange(snapshotWith(entries), NOW)).toBe(set);
    expect(new Set(fromOf(entries))).toEqual(new Set([set]));
    const firm = [filled(undefined, { at: NOW - 40 * MINUTE_MS })];
    expect(new Set(tapeNow(firm))).toEqual(new Set(['go']));
    expect(new Set(fromOf(firm))).toEqual(new Set([undefined]));
    const drying = entry({ kind: 'prefilled', at: NOW - 10 * MINUTE_MS, payload: { mud: { kind: 'drying' } } });
    expect(roomWith([drying]).prefill.firmAt).toBe(NOW + 20 * MINUTE_MS);
  });

  it('is a job of its own on the list of whom it was handed to, alone or with the tape', () => {
    const hand = (work: string) =>
      entry({ kind: 'assigned', at: NOW - 99 * MINUTE_MS, payload: { work, people: [INES], day: '2031-05-06' } });
    const list = (entries: readonly Entry[]) =>
      handedPasses(snapshotWith(entries).rooms, '2031-05-06').map((own) => [own.task.pass, passDone(own)] as const);
    expect(list([hand('prefill')])).toEqual([['prefill', 0]]);
    expect(list([hand('prefill'), filled(undefined)])).toEqual([['prefill', 1]]);
    expect(list([hand('tape'), looked(), gap('w0', 900)])).toEqual([
      ['prefill', 0],
      ['tape', 0],
    ]);
    // What is only guessed is done with the tape.
    const [tape, ...more] = handedPasses(snapshotWith([hand('tape')]).rooms, '2031-05-06');
    expect(more).toEqual([]);
    expect(tape?.task.small.map(({ kind }) => kind)).toContain('prefill');
  });

  it('takes from the store what was filled, and nothing once it is taken back', () => {
    const found = [looked(), gap('w0', 2500)];
    const done = filled(undefined);
    const used = (entries: readonly Entry[]) => stockOf(usedIn(roomWith(entries), waresOf(NO_CATALOGUE, 'in')), NOW);
    // Common practice, no source: 0.08 l a metre.
    expect(used([...found, done])).toMatchObject([{ good: 'setting', used: 0.2 }]);
    // Each time its own mud; what is filled already takes none again.
    const dry = entry({ kind: 'prefilled', at: NOW - MINUTE_MS, payload: { mud: { kind: 'drying' } } });
    const both = [...found, gap('c0', 1000), filled(['w0']), dry];
    expect(used(both)).toMatchObject([
      { good: 'all-purpose', used: 0.08 },
      { good: 'setting', used: 0.2 },
    ]);
    const guessed = (entries: readonly Entry[]) => used(entries).reduce((sum, own) => sum + own.used, 0);
    expect(guessed([filled(['c0']), dry])).toBeCloseTo(guessed([dry]), 9);
    const back = entry({ kind: 'void', at: NOW, payload: { target: done.id } });
    expect(used([...found, done, back])).toEqual([]);
    expect(roomWith([...found, done, back]).prefill).toEqual(roomWith(found).prefill);
  });
});

describe('how far the filling before the tape is', () => {
  const piece = (kind: 'butt' | 'flat', face: string, amount: number) => ({ class: kind, face, amount }) as Piece;
  const PIECES = [piece('butt', 'w0', 4000), piece('butt', 'c0', 6000), piece('flat', 'w0', 9000)];
  const LOOKED = [{ at: '', who: [], faces: undefined, found: 'good' as const }];
  const LOOKED_ONE = { at: '', who: [], faces: ['w0'], found: 'good' as const };
  const gapOf = (id: string, length: number, prefilled: boolean): OpenItem => ({
    id,
    at: '',
    who: [],
    after: 0,
    photos: [],
    defect: 'gap',
    length,
    closed: prefilled ? { at: '', who: [], minutes: undefined, photos: [], prefilled: true } : undefined,
  });
  const fillOf = (faces: readonly string[] | undefined, firmAt: number, items: readonly string[] = []): Prefill => ({
    at: '',
    who: [],
    faces,
    firmAt,
    mud: { kind: 'drying' },
    items,
  });
  it.each([
    ['nobody looked, nothing is filled', [], [], [], { found: undefined, done: 0, firmAt: undefined }],
    ['nobody looked, one face is filled', [], [], [fillOf(['w0'], 7)], { found: undefined, done: 0.4, firmAt: 7 }],
    ['nobody looked, it is filled twice', [], [], [fillOf(['w0'], 9), fillOf(['c0'], 5)], { done: 1, firmAt: 9 }],
    ['nobody looked, it is filled everywhere', [], [], [fillOf(undefined, 5)], { done: 1, firmAt: 5 }],
    ['looked at, there is no gap', LOOKED, [], [], { found: 0, litres: 0, done: 0 }],
    ['looked at, no gap, filled all the same', LOOKED, [], [fillOf(undefined, 5)], { found: 0, done: 1 }],
    ['looked at, one gap', LOOKED, [gapOf('a', 1000, false)], [], { found: 1000, litres: 0.08, done: 0 }],
    [
      'looked at, one gap of two is filled',
      LOOKED,
      [gapOf('a', 1000, false), gapOf('b', 3000, true)],
      [fillOf(['w0'], 5, ['b'])],
      { found: 4000, litres: 0.32, done: 0.75, filled: [{ litres: 0.24 }] },
    ],
    // A part of the butts, 0.05, on the faces at which nobody looked.
    ['one face looked at, no gap', [LOOKED_ONE], [], [], { found: 300, litres: 0.024, done: 0 }],
    [
      'one face looked at, a gap on it',
      [LOOKED_ONE],
      [gapOf('a', 1000, false)],
      [],
      { found: 1300, litres: expect.closeTo(0.104, 9), done: 0 },
    ],
    [
      'a gap noted where nobody looked is there at once',
      [],
      [gapOf('a', 1000, false)],
      [],
      { found: 1500, litres: expect.closeTo(0.12, 9), done: 0 },
    ],
    [
      'with its width',
      [],
      [{ ...gapOf('a', 300, false), width: 20 }],
      [],
      { found: 800, litres: expect.closeTo(0.04 + 0.3 * 20 * 0.0127, 9) },
    ],
    [
      'a gap noted after everything was filled',
      [],
      [gapOf('a', 500, false)],
      [fillOf(undefined, 5)],
      { found: 1000, done: 0.5 },
    ],
    ['looked at, its gap was filled one by one', LOOKED, [gapOf('b', 3000, true)], [], { found: 3000, done: 1 }],
  ] as const)('%s', (_words, acceptances, items, prefills, standing) => {
    expect(prefillOf({ acceptances, items, prefills }, PIECES)).toMatchObject(standing);
  });

  it('is nothing in a room without butts or mixed joints, until somebody fills it', () => {
    const flats = PIECES.filter(({ class: kind }) => kind === 'flat');
    const done = (prefills: readonly Prefill[], pieces = flats) =>
      prefillOf({ acceptances: [], items: [], prefills }, pieces);
    expect(done([])).toMatchObject({ found: undefined, done: 0, filled: [] });
    expect(done([fillOf(['w0'], 5)])).toMatchObject({ done: 1, filled: [{ litres: 0 }] });
    expect(done([fillOf(undefined, 5)]).done).toBe(1);
    expect(done([], []).found).toBeUndefined();
  });
});
