import { describe, expect, it } from 'vitest';
import { TOBIN } from '../../../tests/houses/logEntry';
import { coat, EVERY_COAT, hoursIn, recordedRoom, type Sent } from '../../../tests/houses/recordedRoom';
import { airClock } from '../air/airClock';
import type { SourcedAir } from '../air/roomAir';
import { COATED_CLASSES } from '../method/coat';
import { handOverOf } from './handOver';

const HOUR = 3_600_000;
const SANDED: Sent = [120, 'sanded'];
const CHECKED: Sent = [121, 'checked', { level: 4 }];
const sheetOf = (sent: readonly Sent[], hours = 130, options: Parameters<typeof recordedRoom>[2] = {}) => {
  const { room, refused } = recordedRoom(sent, hours, options);
  expect(refused.filter(Boolean)).toEqual([]);
  return handOverOf(room);
};
/** Coats that are asked for or were put on stand by class; those that were put on by time within it. */
const byClass = (classes: readonly string[]) =>
  classes.map((kind) => (COATED_CLASSES as readonly string[]).indexOf(kind));

describe('the sheet of a room', () => {
  it('lists each coat that is asked for, with how much of it is on', () => {
    const { asked, coats } = sheetOf([coat(0, 'fasteners.tape'), coat(1, 'flat.tape', { part: 0.5 })], 2);
    const share = (id: string) => asked.find((one) => one.id === id)?.share;
    expect([share('fasteners.tape'), share('flat.tape'), share('flat.fill')]).toEqual([1, expect.closeTo(0.5, 6), 0]);
    const order = byClass(asked.map((one) => one.class));
    expect(order).toEqual(order.toSorted((a, b) => a - b));
    // Put on in the other order, it stands in the order of the classes.
    expect(coats.map((one) => one.class)).toEqual(['flat', 'fasteners']);
  });

  it('lists each coat as it was put on: where it counts, how much, by whom', () => {
    const { coats } = sheetOf([...EVERY_COAT.slice(0, 6), coat(70, 'flat.finish', { tool: 'trowel', part: 0.25 })], 90);
    const flats = coats.filter((one) => one.class === 'flat');
    expect(
      flats.map(({ key, at, who, counts, isThere, part, tool }) => [key, at, who, counts, isThere, part, tool]),
    ).toEqual([
      ['tape', new Date(hoursIn(0)).toISOString(), [TOBIN], ['flat.tape'], true, 1, undefined],
      ['fill', new Date(hoursIn(40)).toISOString(), [TOBIN], ['flat.fill'], true, 1, undefined],
      ['finish', new Date(hoursIn(70)).toISOString(), [TOBIN], ['flat.finish'], true, 0.25, 'trowel'],
    ]);
    const { amount } = sheetOf([], 1).asked.find(({ id }) => id === 'flat.tape') ?? {};
    expect(flats.map((one) => one.amount)).toEqual(
      [amount, amount, (amount ?? 0) / 4].map((mm) => expect.closeTo(mm ?? 0, 6)),
    );
  });

  it('keeps a coat that the method asks for no more, or that lay on what is gone', () => {
    const three = { method: { level: 4 } };
    const edit = { at: 125, head: { method: { level: 3 } } };
    const { coats } = sheetOf(EVERY_COAT, 130, { head: three, edit });
    const finish = coats.find(({ class: kind, key }) => kind === 'flat' && key === 'finish');
    expect(finish).toMatchObject({ counts: [], isThere: true });
    const { coats: without } = sheetOf([coat(0, 'flat.tape', { faces: ['c0'] })], 130, {
      edit: { at: 125, room: { ceiling: { shape: 'open' } } },
    });
    expect(without).toMatchObject([{ class: 'flat', counts: [], isThere: false }]);
  });

  it('is there while some of what a coat lies on is', () => {
    const longer = { at: 125, room: { ceiling: { shape: 'open' } } };
    const { coats } = sheetOf([coat(0, 'flat.tape')], 130, { edit: longer });
    expect(coats).toMatchObject([{ class: 'flat', isThere: true }]);
  });

  it('says of each face that is signed for when and to which level it was', () => {
    const before = sheetOf(EVERY_COAT);
    expect(before.faces.map(({ face }) => face).sort()).toEqual(['c0', 'w0', 'w1', 'w2', 'w3']);
    expect(new Set(before.faces.map(({ level }) => level))).toEqual(new Set([undefined]));
    const { faces, met } = sheetOf([
      ...EVERY_COAT,
      SANDED,
      [121, 'checked', { level: 4, faces: ['w1'], light: 'lamp' }],
    ]);
    expect(faces.filter(({ level }) => level !== undefined)).toMatchObject([
      { face: 'w1', level: 4, light: 'lamp', who: [TOBIN], at: new Date(hoursIn(121)).toISOString() },
    ]);
    expect(met).toBeUndefined();
  });

  it('lists no face on which nothing is finished', () => {
    expect(sheetOf([], 1, { head: { method: { level: 0 } } }).faces).toEqual([]);
    // At a level of its own it has its angles still.
    const bare = { finish: { faces: { w0: { level: 0 } } } };
    expect(sheetOf(EVERY_COAT, 130, { room: bare }).faces.map(({ face }) => face)).toContain('w0');
  });

  it.each([
    ['level 4, not sealed', 4, [], true],
    ['level 3, not sealed', 3, [], true],
    ['level 2, not sealed', 2, [], false],
    ['level 4, sealed', 4, [[122, 'sealed'] as Sent], false],
  ] as const)('tells the painters to seal first: %s', (_words, level, more, sealFirst) => {
    const head = { method: { level } };
    const sent = level === 4 ? [...EVERY_COAT, SANDED, CHECKED, ...more] : [];
    expect(sheetOf(sent, 130, { head }).sealFirst).toBe(sealFirst);
  });
});

describe('the air in which a coat dried', () => {
  const step = (hours: number, temperature: number, kind: 'house' | 'assumed' = 'house') => ({
    from: hoursIn(hours),
    air: { temperature, humidity: 50 - temperature },
    source: { kind },
    readAt: 0,
  });
  const airOf = (steps: readonly ReturnType<typeof step>[], at = 0) => {
    const { room } = recordedRoom([coat(at, 'flat.tape')], at + 30);
    return handOverOf({ ...room, air: airClock<SourcedAir>(steps) }).coats[0]?.air;
  };

  it.each([
    ['one step', [step(-5, 20)], { temperature: 20, humidity: 30 }],
    ['a quarter of the day warmer', [step(-5, 20), step(18, 24)], { temperature: 21, humidity: 29 }],
    ['what comes after the day', [step(-5, 20), step(24, 35)], { temperature: 20, humidity: 30 }],
    ['what was assumed', [step(-5, 10, 'assumed'), step(12, 24)], { temperature: 24, humidity: 26 }],
    ['nothing else', [step(-5, 10, 'assumed')], undefined],
    ['read later that day', [step(6, 20), step(12, 26)], { temperature: 24, humidity: 26 }],
    ['long before', [step(-50, 35), step(-5, 20)], { temperature: 20, humidity: 30 }],
  ] as const)('is the mean of its first day: %s', (_words, steps, mean) => {
    const air = airOf(steps);
    if (mean === undefined) return expect(air).toBeUndefined();
    expect(air?.temperature).toBeCloseTo(mean.temperature, 9);
    expect(air?.humidity).toBeCloseTo(mean.humidity, 9);
  });

  it('takes a day as 24 hours', () => {
    expect(airOf([step(-5, 20), step(23, 44)])?.temperature).toBeCloseTo(21, 9);
    expect(HOUR * 24).toBe(hoursIn(24) - hoursIn(0));
  });
});
