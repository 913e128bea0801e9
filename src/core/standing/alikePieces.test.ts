import { describe, expect, it } from 'vitest';
import { flatPiece } from '../../../tests/houses/flatPiece';
import type { Piece } from '../joints/pieces';
import type { CoatEntry } from '../log/entry';
import type { Touched } from '../log/roomState';
import { usualMethod } from '../method/resolveMethod';
import { appliedCoats, NO_MARKS } from './appliedCoats';

const METHOD = usualMethod(4);
/** Two flats of one wall, one of another. */
const LOW = flatPiece('w0#v1219.0@w0', 3000);
const HIGH = flatPiece('w0#v2438.0@w0', 1000);
const OTHER = flatPiece('w1#v1219.0@w1', 6000);
const HOUR = 3_600_000;

function coat(payload: object, hours = 1): CoatEntry {
  const at = new Date(hours * HOUR).toISOString();
  return {
    id: '00000000-0000-4000-8000-000000000001',
    room: 'room',
    at,
    kind: 'coat',
    payload: { class: 'flat', key: 'tape', part: 1, mud: { kind: 'drying' }, ...payload },
    seq: hours,
    by: '00000000-0000-4000-8000-00000000000a',
    role: 'lead',
    recordedAt: at,
  } as CoatEntry;
}
/** It lay on a piece of which there was so much, and covered so much of it. */
const on = (id: string, of: number, amount = of) => ({ id, amount, of });

/** The part of each piece that has its tape. */
function taped(pieces: readonly Piece[], entries: readonly CoatEntry[]): Readonly<Record<string, number>> {
  const { stretches } = appliedCoats(pieces, METHOD, entries);
  const shares = stretches.flatMap((stretch) =>
    stretch.pieces.map(({ id }) => [id, Math.round((stretch.coats[0]?.share ?? 0) * 1000) / 1000] as const),
  );
  return Object.fromEntries(shares);
}
const ofAll = (low: number, high: number, other: number) => ({ [LOW.id]: low, [HIGH.id]: high, [OTHER.id]: other });

describe('how much of a piece an entry covers', () => {
  it.each([
    // What is not recorded yet.
    ['no piece named', {}, ofAll(1, 1, 1)],
    ['half of it', { part: 0.5 }, ofAll(0.5, 0.5, 0.5)],
    ['on one wall', { faces: ['w1'] }, ofAll(0, 0, 1)],
    ['another class', { class: 'butt' }, ofAll(0, 0, 0)],
    ['one piece named', { pieces: [{ id: LOW.id }] }, ofAll(1, 0, 0)],
    ['a length of a piece', { pieces: [{ id: LOW.id, amount: 600 }] }, ofAll(0.2, 0, 0)],
    ['more than there is', { pieces: [{ id: LOW.id, amount: 9000 }] }, ofAll(1, 0, 0)],
    // What says on what it lay.
    ['on what is there', { on: [on(LOW.id, 3000)] }, ofAll(1, 0, 0)],
    ['half of it lay there', { part: 0.5, on: [on(LOW.id, 3000, 1500)] }, ofAll(0.5, 0, 0)],
    ['a length of it', { pieces: [{ id: LOW.id, amount: 600 }], on: [on(LOW.id, 3000, 600)] }, ofAll(0.2, 0, 0)],
    ['it was shorter then', { on: [on(LOW.id, 1500)] }, ofAll(0.5, 0, 0)],
    ['half of it, and it was shorter then', { part: 0.5, on: [on(LOW.id, 1500, 750)] }, ofAll(0.25, 0, 0)],
    ['a length of it, and it was shorter', { pieces: [{ id: LOW.id }], on: [on(LOW.id, 1500, 600)] }, ofAll(0.2, 0, 0)],
    ['it was longer then', { on: [on(LOW.id, 5000)] }, ofAll(1, 0, 0)],
    ['it was measured a little shorter', { on: [on(LOW.id, 2950)] }, ofAll(1, 0, 0)],
    ['of nothing', { pieces: [{ id: LOW.id }], on: [on(LOW.id, 0)] }, ofAll(0, 0, 0)],
    // What lay on what is gone.
    ['another height of this wall', { on: [on('w0#v1300.0@w0', 4000)] }, ofAll(1, 1, 0)],
    ['less of it than there is now', { on: [on('w0#v1300.0@w0', 2000)] }, ofAll(0.5, 0.5, 0)],
    ['two that are gone', { on: [on('w0#v1300.0@w0', 1000), on('w0#v900.0@w0', 1000)] }, ofAll(0.5, 0.5, 0)],
    ['half of one that is gone', { part: 0.5, on: [on('w0#v1300.0@w0', 4000, 2000)] }, ofAll(0.5, 0.5, 0)],
    [
      'a length of one that is gone',
      { pieces: [{ id: 'w0#v1300.0@w0' }], on: [on('w0#v1300.0@w0', 9000, 1000)] },
      ofAll(0.25, 0.25, 0),
    ],
    [
      'more of one that is gone than there is now',
      { pieces: [{ id: 'w0#v1300.0@w0' }], on: [on('w0#v1300.0@w0', 9000, 8000)] },
      ofAll(1, 1, 0),
    ],
    ['one is there, another is gone', { on: [on(LOW.id, 3000), on('w0#v900.0@w0', 500)] }, ofAll(1, 0.5, 0)],
    ['a wall that is gone', { on: [on('w7#v1219.0@w7', 4000)] }, ofAll(0, 0, 0)],
  ] as const)('%s', (_words, payload, shares) => {
    expect(taped([LOW, HIGH, OTHER], [coat(payload)])).toEqual(shares);
  });

  it('adds up under several entries', () => {
    const third = { part: 0.25 };
    expect(taped([LOW], [coat(third), coat(third, 1.1), coat(third, 1.2)])).toEqual({ [LOW.id]: 0.75 });
    const both = [coat({ part: 0.25, faces: ['w0'] }), coat({ part: 0.5 }, 1.1)];
    expect(taped([LOW, HIGH, OTHER], both)).toEqual(ofAll(0.75, 0.75, 0.5));
  });
});

describe('pieces that nothing tells apart', () => {
  const groups = (pieces: readonly Piece[], entries: readonly CoatEntry[], touched: readonly Touched[] = []) =>
    appliedCoats(pieces, METHOD, entries, undefined, { ...NO_MARKS, touched }).stretches;

  it('are one stretch, with all that they are', () => {
    const [stretch, ...more] = groups([LOW, HIGH, OTHER], [coat({})]);
    expect(more).toEqual([]);
    expect(stretch).toMatchObject({ amount: 10_000, beside: [], across: [] });
    expect(stretch?.pieces).toEqual([LOW, HIGH, OTHER]);
  });

  it('are several where something lies under some, or they were touched', () => {
    expect(groups([LOW, HIGH, OTHER], [coat({ faces: ['w0'] })]).map(({ amount }) => amount)).toEqual([4000, 6000]);
    const touch = (hours: number, more: object = {}): Touched => ({
      at: new Date(hours * HOUR).toISOString(),
      who: [],
      class: undefined,
      found: 'grey',
      ...more,
    });
    const foundOn = (touched: readonly Touched[]) =>
      groups([LOW, HIGH, OTHER], [coat({})], touched).map((own) => [own.amount, own.touched?.found]);
    expect(foundOn([touch(2, { pieces: [LOW.id] })])).toEqual([
      [3000, 'grey'],
      [7000, undefined],
    ]);
    expect(foundOn([touch(2), touch(3, { found: 'white' })])).toEqual([[10_000, 'white']]);
    expect(foundOn([touch(2, { class: 'butt' })])).toEqual([[10_000, undefined]]);
    expect(foundOn([touch(2, { class: 'flat' })])).toEqual([[10_000, 'grey']]);
    // Before it went on, or at that very moment.
    expect(foundOn([touch(0.5), touch(1)])).toEqual([[10_000, undefined]]);
  });

  it('know what lies beside and across them, whichever comes first in the room', () => {
    const butt = flatPiece('w0#u1219.0@w0', 500, { class: 'butt', crosses: [LOW.id, HIGH.id] });
    const [low, high] = [LOW, HIGH].map((flat) => ({ ...flat, crosses: [butt.id] }));
    const sides = ['w0', 'w1'].map((face) => flatPiece(`w0~w1#0@${face}`, 2400, { class: 'angle' }));
    for (const all of [
      [low as Piece, high as Piece, butt, OTHER, ...sides],
      [...sides, OTHER, butt, high as Piece, low as Piece],
    ]) {
      const stretches = groups(all, [coat({ class: 'butt' })]);
      const placeOf = (id: string) => stretches.findIndex(({ pieces }) => pieces.some((one) => one.id === id));
      expect(placeOf(LOW.id)).toBe(placeOf(HIGH.id));
      expect(stretches[placeOf(LOW.id)]?.across).toEqual([placeOf(butt.id)]);
      expect(stretches[placeOf(butt.id)]?.across).toEqual([placeOf(LOW.id)]);
      expect(stretches[placeOf(OTHER.id)]?.across).toEqual([]);
      const [one, other] = sides.map(({ id }) => placeOf(id));
      // The two sides stand alike: each lies beside the other.
      expect([one, stretches[one ?? 0]?.beside]).toEqual([other, [other]]);
    }
  });
});
