import { describe, expect, it } from 'vitest';
import { coat, hoursIn, recordedRoom, type Sent } from '../../../tests/houses/recordedRoom';
import { driedBetween, whenDried } from '../air/airClock';
import { stretchClock } from './stretchClock';

const HOUR = 3_600_000;
const SETTING = { mud: { kind: 'setting', minutes: 90 } };
const touched = (hours: number, found: string): Sent => [hours, 'touched', { found, class: 'flat' }];
/** The clocks of the tape and the fill coat of flats, and the room. */
function flats(sent: readonly Sent[], hours: number) {
  const { room, refused } = recordedRoom(sent, hours);
  expect(refused.filter(Boolean)).toEqual([]);
  const stretch = room.applied.stretches.find((own) => own.class === 'flat');
  if (!stretch) throw new Error('the room has flats');
  const of = (place: number) => stretchClock(stretch, place, { method: room.method, clock: room.clock });
  return { room, stretch, of, tape: of(0), fill: of(1) };
}

describe('the clock of what lies on some joints', () => {
  it('is none while nothing of a coat is on', () => {
    expect(recordedRoom([], 1).room.applied.stretches).toEqual([]);
    const { tape, fill } = flats([coat(0, 'flat.tape')], 1);
    expect([tape !== undefined, fill]).toEqual([true, undefined]);
  });

  it('goes by the entry that is ready last', () => {
    const { tape: one } = flats([coat(0, 'flat.tape')], 7);
    const { tape } = flats([coat(0, 'flat.tape', { part: 0.5 }), coat(6, 'flat.tape', { part: 0.5 })], 7);
    expect((tape?.recoatAt ?? 0) - (one?.recoatAt ?? 0)).toBeCloseTo(6 * HOUR, -4);
    expect((tape?.sandAt ?? 0) - (one?.sandAt ?? 0)).toBeCloseTo(6 * HOUR, -4);
    // Drying mud is firm after half an hour.
    expect(tape?.firmAt).toBe(hoursIn(6.5));
    expect(tape?.setAt).toBeUndefined();
  });

  it('of setting mud is set by its label', () => {
    const { tape } = flats([coat(0, 'flat.tape', SETTING)], 1);
    expect([tape?.setAt, tape?.firmAt]).toEqual([hoursIn(1.5), hoursIn(1.5)]);
  });

  it('is kept while room and method are the same', () => {
    const { of, stretch, room } = flats([coat(0, 'flat.tape')], 1);
    expect(of(0)).toBe(of(0));
    const slower = { air: room.clock.air, slowness: new Map([['taping tape', 2]] as const) };
    const slow = stretchClock(stretch, 0, { method: room.method, clock: slower });
    expect(slow?.recoatAt).toBeGreaterThan(of(0)?.recoatAt ?? Number.POSITIVE_INFINITY);
    const other = { ...room.method };
    expect(stretchClock(stretch, 0, { method: other, clock: slower })).not.toBe(slow);
  });
});

describe('a touch check', () => {
  const on = [coat(0, 'flat.tape'), coat(40, 'flat.fill')];
  const plain = flats(on, 41);
  const later = (of: number | undefined, than: number | undefined) => (of ?? 0) - (than ?? 0);

  it('white: it is ready from then on, and what lies under it too', () => {
    const { tape, fill } = flats([...on, touched(43, 'white')], 44);
    expect(fill).toMatchObject({ recoatAt: hoursIn(43), sandAt: hoursIn(43), firmAt: hoursIn(40.5) });
    expect(tape).toEqual(plain.tape);
    const soon = flats([coat(0, 'flat.tape'), touched(0.25, 'white')], 1);
    expect(soon.tape).toMatchObject({ recoatAt: hoursIn(0.25), firmAt: hoursIn(0.25) });
  });

  it('white after it was ready changes nothing', () => {
    const { fill } = flats([...on, touched(90, 'white')], 91);
    // But for the second that is learned from it.
    expect(Math.abs(later(fill?.recoatAt, plain.fill?.recoatAt))).toBeLessThan(HOUR / 60);
    expect(fill?.firmAt).toBe(plain.fill?.firmAt);
  });

  it.each([
    ['grey', 1.25],
    ['patchy', 1.1],
  ])('%s: it takes at least %f times what it had dried', (found, least) => {
    const { room, fill, tape } = flats([...on, touched(70, found)], 71);
    const { air } = room.clock;
    const dry = whenDried(air, hoursIn(40), driedBetween(air, hoursIn(40), hoursIn(70)) * least);
    expect(dry).toBeGreaterThan(hoursIn(70));
    expect(fill?.sandAt).toBe(Math.max(dry, fill?.sandAt ?? 0));
    expect(fill?.recoatAt).toBeGreaterThanOrEqual(dry);
    // The tape under it goes by its clock.
    expect(later(tape?.recoatAt, hoursIn(40))).toBeLessThan(0);
  });

  it('grey a moment after it went on: it is wet for longer than a moment', () => {
    const { fill } = flats([...on, touched(40.001, 'grey')], 41);
    expect(later(fill?.recoatAt, plain.fill?.recoatAt)).toBeGreaterThanOrEqual(0);
  });

  it('grey on setting mud: it waits a quarter longer than since it was mixed', () => {
    const mixed = { ...SETTING, mixedAt: new Date(hoursIn(-1)).toISOString() };
    const recoat = flats([coat(0, 'flat.tape', mixed)], 1).tape?.recoatAt ?? 0;
    const { tape } = flats([coat(0, 'flat.tape', mixed), touched(9, 'grey')], 10);
    expect(recoat).toBeLessThan(hoursIn(9));
    expect(tape?.recoatAt).toBe(hoursIn(-1) + 1.25 * 10 * HOUR);
  });

  it('grey on the coat on top, however the coats are named', () => {
    // The finish was logged where no fill is: it lies on top of the tape.
    const { of } = flats([coat(0, 'flat.tape'), coat(40, 'flat.finish'), touched(70, 'grey')], 71);
    expect([of(0)?.recoatAt ?? 0, of(1)?.recoatAt ?? 0].map((at) => at > hoursIn(70))).toEqual([false, true]);
  });

  it('grey on two coats of one moment: the one over it is on top', () => {
    const { of } = flats([coat(0, 'flat.tape'), coat(0, 'flat.fill', { repeat: 'next' }), touched(30, 'grey')], 31);
    expect([of(0)?.recoatAt ?? 0, of(1)?.recoatAt ?? 0].map((at) => at > hoursIn(30))).toEqual([false, true]);
  });
});
