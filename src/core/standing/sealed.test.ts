import { describe, expect, it } from 'vitest';
import { coat, EVERY_COAT, hoursIn, recordedRoom, type Sent } from '../../../tests/houses/recordedRoom';
import { demoHouse } from '../../db/demo/demoHouse';
import { handOverOf } from '../inspect/handOver';
import { NO_CATALOGUE, waresOf } from '../materials/catalogue';
import { nextChange } from '../snapshot/nextChange';
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

  it('is when it was checked where a skim does what sealer does', () => {
    const skim = coat(120, 'surface.skim');
    const sent: readonly Sent[] = [...EVERY_COAT, skim, [160, 'sanded'], [161, 'checked', { level: 5 }]];
    const head = { method: { level: 5 } };
    const from = Object.fromEntries(
      handOverOf(roomOf(sent, 170, { head })).faces.map(({ face, paintFrom: at }) => [face, at]),
    );
    expect(new Set(Object.values(from))).toEqual(new Set([new Date(hoursIn(161)).toISOString()]));
    expect(roomOf(sent, 170, { head }).standing.now.kind).toBe('handOver');
  });

  it('is open again once mud goes on', () => {
    const sent: readonly Sent[] = [...DONE, [122, 'sealed'], coat(124, 'flat.finish', { faces: ['w0'] })];
    const from = paintFrom(sent);
    expect(from.w0).toBeUndefined();
    expect(from.w1).toBeUndefined();
  });
});

describe('the bath and the coat closet of the demo', () => {
  const demo = (id: string) => {
    const room = demoHouse().rooms.find((own) => own.id === id);
    return { room: { ...room, id: 'room' } };
  };
  const coats = ['flat', 'angle', 'fasteners', 'butt', 'bead'] as const;
  /** Every coat that a room gets, in rounds a day and more apart, then sanded and checked. */
  const doneIn = (id: string): readonly Sent[] => {
    const { coats: asked } = recordedRoom([], 0, demo(id)).room;
    const rounds = ['tape', 'fill', 'finish'];
    return [
      ...rounds.flatMap((_, round) =>
        asked
          .filter(({ class: kind }) => coats.some((own) => own === kind))
          .filter((own) => asked.filter((other) => other.class === own.class).indexOf(own) === round)
          .map(({ id: of }) => coat(40 * round, of)),
      ),
      [120, 'sanded'],
      [121, 'checked', { level: 4 }],
    ];
  };
  /** Square inches. */
  const painted = (id: string) =>
    Object.fromEntries(
      recordedRoom([], 0, demo(id)).room.pieces.flatMap(({ class: kind, face, amount }) =>
        kind === 'surface' && /^[wc]\d+$/.test(face) ? [[face, Math.round(amount / 25.4 ** 2)]] : [],
      ),
    );

  it('are sealed where they are painted: nothing under tile', () => {
    // 90 × 120 × 96 in. A door of 28 × 80; tile of 60 × 72; a window of 24 × 30 and tile of 36 × 72 that ends behind it, 3 × 18 in.
    expect(painted('bath')).toEqual({
      w0: 90 * 96 - 28 * 80,
      w1: 120 * 96 - 60 * 72,
      w2: 90 * 96 - 24 * 30 - 36 * 72 + 3 * 18,
      w3: 120 * 96,
      c0: 90 * 120,
    });
    // 90 × 55 × 96 in, one door of 28 × 80 in the short wall.
    expect(painted('coat-closet')).toEqual({
      w0: 90 * 96,
      w1: 55 * 96 - 28 * 80,
      w2: 90 * 96,
      w3: 55 * 96,
      c0: 90 * 55,
    });
  });

  it.each(['bath', 'coat-closet'])('%s: checked, sealed in two goes, dry, handed over, painted', (id) => {
    const recordedAt = (hours: number, ...more: readonly Sent[]) =>
      recordedRoom([...doneIn(id), ...more], hours, demo(id));
    const now = (hours: number, ...more: readonly Sent[]) => recordedAt(hours, ...more).room.standing.now;
    expect(recordedAt(122).refused.filter(Boolean)).toEqual([]);
    expect(now(122).kind).toBe('seal');
    const first: Sent = [122, 'sealed', { faces: ['w0'] }];
    const rest: Sent = [124, 'sealed', {}];
    expect(now(123.5, first).kind).toBe('seal');
    // An hour at 70 °F and 50 %.
    const wet = now(124.5, first, rest);
    expect(wet).toMatchObject({ kind: 'wet', sealer: true });
    expect(wet.kind === 'wet' && (wet.allBy - hoursIn(0)) / 3_600_000).toBeCloseTo(125, 2);
    expect(recordedAt(124.6, first, rest, [124.5, 'handedOver']).refused.at(-1)?.why).toBeDefined();
    expect(now(125.1, first, rest).kind).toBe('handOver');
    const { room, refused } = recordedAt(126, first, rest, [125.1, 'handedOver']);
    expect(refused.at(-1)).toBeUndefined();
    expect(room.standing.now.kind).toBe('done');
    const from = new Set(
      handOverOf(room).faces.map(({ paintFrom: at }) => Math.round((Date.parse(at ?? '') - hoursIn(0)) / 36_000) / 100),
    );
    // All of it was sealed again with the rest.
    expect([...from]).toEqual([125]);
  });

  it('are told again when each of their faces is dry, though others are still to be sealed', () => {
    const sent: readonly Sent[] = [...doneIn('bath'), [122, 'sealed', { faces: ['w0'] }]];
    const at = hoursIn(122.5);
    const { room } = recordedRoom(sent, 122.5, demo('bath'));
    expect(room.standing.now.kind).toBe('seal');
    expect(((nextChange({ rooms: [room] }, at) ?? 0) - hoursIn(0)) / 3_600_000).toBeCloseTo(123, 2);
    expect(nextChange({ rooms: [room] }, hoursIn(123.1))).toBeUndefined();
  });

  it('refuse sealer on what is behind tile', () => {
    const tiled = {
      room: { ...demo('bath').room, zones: [{ wall: 1, from: 0, to: 120, bottom: 0, top: 96, cover: 'tile' }] },
    };
    const { refused } = recordedRoom([[1, 'sealed', { faces: ['w1'] }]], 2, tiled);
    expect(refused[0]?.why).toBe('nothingToSeal');
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
