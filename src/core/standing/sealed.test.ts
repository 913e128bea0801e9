import { describe, expect, it } from 'vitest';
import { coat, EVERY_COAT, hoursIn, recordedRoom, type Sent } from '../../../tests/houses/recordedRoom';
import { handOverOf } from '../inspect/handOver';
import { NO_CATALOGUE, waresOf } from '../materials/catalogue';
import { usedIn } from '../stock/stock';
import { stillNeeded } from '../supply/stillNeeded';

const DONE: readonly Sent[] = [...EVERY_COAT, [120, 'sanded'], [121, 'checked', { level: 4 }]];
const OTHERS = ['w1', 'w2', 'w3', 'c0'];
const WARES = waresOf(NO_CATALOGUE, 'in');
const roomOf = (sent: readonly Sent[], hours: number, options: Parameters<typeof recordedRoom>[2] = {}) => {
  const { room, refused } = recordedRoom(sent, hours, options);
  expect(refused.filter(Boolean)).toEqual([]);
  return room;
};
const paintFrom = (sent: readonly Sent[], options: Parameters<typeof recordedRoom>[2] = {}) =>
  Object.fromEntries(
    handOverOf(roomOf(sent, 130, options)).faces.map(({ face, paintFrom: at }) => [
      face,
      at && (Date.parse(at) - hoursIn(0)) / 3_600_000,
    ]),
  );

describe('from when a face may be painted', () => {
  it('is when its sealer is dry, face by face', () => {
    const sent: readonly Sent[] = [
      ...DONE,
      [122, 'sealed', { faces: ['w0'] }],
      [124, 'sealed', { faces: ['w1'], dryHours: 3 }],
    ];
    const from = paintFrom(sent);
    expect(from.w0).toBeCloseTo(123, 2);
    expect(from.w1).toBeCloseTo(127, 2);
    expect([from.w2, from.w3, from.c0]).toEqual([undefined, undefined, undefined]);
  });

  it('is when it was checked where nobody seals, and not before', () => {
    const head = { method: { level: 4, last: 'none' } };
    expect(paintFrom(DONE, { head })).toEqual({ w0: 121, w1: 121, w2: 121, w3: 121, c0: 121 });
    const some: readonly Sent[] = [...EVERY_COAT, [120, 'sanded'], [121, 'checked', { level: 4, faces: ['w0'] }]];
    expect(paintFrom(some, { head })).toMatchObject({ w0: 121, w1: undefined });
  });

  it('is open again once mud goes on', () => {
    const sent: readonly Sent[] = [...DONE, [122, 'sealed'], coat(124, 'flat.finish', { faces: ['w0'] })];
    const from = paintFrom(sent);
    expect(from.w0).toBeUndefined();
    expect(from.w1).toBeUndefined();
  });
});

describe('sealer by the face', () => {
  it('is used and needed by the surface of those that are sealed', () => {
    const used = (sent: readonly Sent[]) =>
      usedIn(roomOf(sent, 130), WARES)
        .filter(({ good }) => good === 'sealer')
        .map(({ amount }) => amount);
    const needed = (sent: readonly Sent[]) => stillNeeded([roomOf(sent, 130)], WARES).get('sealer') ?? 0;
    const [whole = 0] = used([...DONE, [122, 'sealed']]);
    expect(needed(DONE)).toBeCloseTo(whole, 9);
    const one: Sent = [122, 'sealed', { faces: ['w0'] }];
    const [first = 0] = used([...DONE, one]);
    expect(first).toBeGreaterThan(0);
    expect(first + needed([...DONE, one])).toBeCloseTo(whole, 9);
    const both = used([...DONE, one, [123, 'sealed', { faces: OTHERS }]]);
    expect(both).toHaveLength(2);
    expect(both.reduce((sum, amount) => sum + amount, 0)).toBeCloseTo(whole, 9);
    expect(needed([...DONE, one, [123, 'sealed', { faces: OTHERS }]])).toBe(0);
  });

  it('closes what shows through on them, and is not dry for a while: nothing is sanded beside it', () => {
    const item = (face: string, id: string): Sent => [121.5, 'item', { defect: 'showThrough', face }, id];
    const room = roomOf(
      [
        ...DONE,
        item('w0', '00000000-0000-4000-8000-0000000000f1'),
        item('w1', '00000000-0000-4000-8000-0000000000f2'),
        [122, 'sealed', { faces: ['w0'] }],
      ],
      122.5,
    );
    expect(room.state.items.map(({ closed }) => closed !== undefined)).toEqual([true, false]);
    expect(room.standing.wetUntil).toBeGreaterThan(hoursIn(122.9));
    expect(room.standing.now.kind).toBe('seal');
  });
});
