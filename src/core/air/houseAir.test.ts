import { describe, expect, it } from 'vitest';
import { houseOf } from '../../../tests/houses/readRooms';
import { nearRooms } from '../house/nearRooms';
import { vapourPressure } from './air';
import { type AirFrom, stepAt } from './airClock';
import { forecastAir } from './forecastAir';
import { houseAir, type MeasuredAir } from './houseAir';

const HOUR = 3_600_000;
const { rooms: read } = houseOf(["A 10' x 10' x 8'", "B 10' x 10' x 8'", "C 10' x 10' x 8'", "D 10' x 10' x 8'"]);
/** A and B share a wall, C stands apart, D is on another floor. */
const PLACES = [
  [0, 0],
  [125, 0],
  [400, 0],
  [0, 0],
] as const;
const rooms = read.map((room, index) => ({
  ...room,
  id: 'abcd'[index] ?? '',
  at: [PLACES[index]?.[0] ?? 0, PLACES[index]?.[1] ?? 0] as [number, number],
  floor: index === 3 ? 'Upper floor' : room.floor,
}));
const steps = (...pairs: readonly (readonly [hour: number, temperature: number])[]): readonly AirFrom[] =>
  pairs.map(([hour, temperature]) => ({ from: hour * HOUR, air: { temperature, humidity: 50 } }));
const measured = (fields: {
  rooms?: Record<string, readonly AirFrom[]>;
  house?: readonly AirFrom[];
  outside?: readonly AirFrom[];
}): MeasuredAir => ({
  rooms: new Map(Object.entries(fields.rooms ?? {})),
  house: fields.house ?? [],
  outside: fields.outside ?? [],
});
const airOf = (room: string, given: MeasuredAir, hour = 1) => stepAt(houseAir(rooms, 'in', given)(room), hour * HOUR);

describe('rooms near a room', () => {
  it('are those of its floor, nearest first, by the gap between them', () => {
    expect(nearRooms(rooms, 'in')('a')).toEqual([
      { id: 'b', gap: expect.closeTo(5 * 25.4, 6) },
      { id: 'c', gap: expect.closeTo(280 * 25.4, 6) },
    ]);
    expect(nearRooms(rooms, 'in')('d')).toEqual([]);
  });

  it('lie at no known distance without a place on the plan', () => {
    const lost = rooms.map(({ at: _at, ...room }) => room);
    expect(nearRooms(lost, 'in')('a').map(({ gap }) => gap)).toEqual([Infinity, Infinity]);
  });
});

describe('the air of the rooms of a house', () => {
  it('comes from the room, then over a shared wall, then from the house, then from afar', () => {
    const b = steps([0, 15]);
    const house = steps([0, 16]);
    expect(airOf('a', measured({ rooms: { a: steps([0, 14]), b }, house })).source).toEqual({ kind: 'room' });
    expect(airOf('a', measured({ rooms: { b }, house })).source).toEqual({ kind: 'neighbour', room: 'b' });
    expect(airOf('c', measured({ rooms: { b }, house })).source).toEqual({ kind: 'house' });
    expect(airOf('c', measured({ rooms: { b } })).source).toEqual({ kind: 'neighbour', room: 'b' });
    expect(airOf('d', measured({ rooms: { b } })).source).toEqual({ kind: 'neighbour', room: 'b' });
  });

  it('is assumed where nobody ever measured, and says so', () => {
    expect(airOf('a', measured({}))).toMatchObject({
      source: { kind: 'assumed' },
      air: { temperature: 20, humidity: 50 },
    });
  });

  it('follows the forecast from the last reading on', () => {
    const outside = steps(...Array.from({ length: 100 }, (_, hour) => [hour - 50, 5] as const), [50, 15]);
    const given = measured({ rooms: { a: steps([0, 18]) }, outside });
    expect(airOf('a', given, 0.5).source.kind).toBe('room');
    expect(airOf('a', given, 1.5)).toMatchObject({ source: { kind: 'forecast' }, readAt: 0, air: { temperature: 18 } });
    // Ten degrees more outside arrive to three tenths in a heated house, where nothing else was seen of it.
    expect(airOf('a', given, 50.5).air.temperature).toBeCloseTo(18 + 0.3 * 10, 9);
  });
});

describe('the forecast of the air inside', () => {
  const day = Array.from({ length: 24 * 6 }, (_, index) => index - 24 * 3);
  const outsideAt = (hour: number) => 8 + 5 * Math.sin((hour / 24) * 2 * Math.PI);
  const outside = day.map(
    (hour): AirFrom => ({ from: hour * HOUR, air: { temperature: outsideAt(hour), humidity: 60 } }),
  );

  it('carries on the share of the weather that came through in the last days', () => {
    // An unheated room that follows the half of every swing.
    const inside = steps(
      ...day.filter((hour) => hour <= 0).map((hour) => [hour, 15 + 0.5 * (outsideAt(hour) - 8)] as const),
    );
    for (const { from, air } of forecastAir(inside, outside, 0))
      expect(air.temperature).toBeCloseTo(15 + 0.5 * (outsideAt(from / HOUR) - 8), 6);
  });

  it('stays steady in a room that never followed the weather', () => {
    const inside = steps(...day.filter((hour) => hour <= 0).map((hour) => [hour, 19] as const));
    for (const { air } of forecastAir(inside, outside, 0)) {
      expect(air.temperature).toBeCloseTo(19, 6);
      expect(vapourPressure(air)).toBeCloseTo(vapourPressure({ temperature: 19, humidity: 50 }), 6);
    }
  });

  it('is none where the weather was never told', () => {
    expect(forecastAir(steps([0, 19]), [], 0)).toEqual([]);
  });
});
