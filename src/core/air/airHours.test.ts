import { describe, expect, it } from 'vitest';
import { type AirHour, stepsOfHours } from './airHours';

const HOUR = 3_600_000;
const hour = (fields: Partial<AirHour> & { readonly at: number; readonly temperature: number }): AirHour => ({
  device: 'a',
  room: 'hall',
  hour: fields.at * HOUR,
  batch: 1,
  count: 60,
  mean: { temperature: fields.temperature, humidity: 50 },
  ...fields,
});
const told = (hours: readonly AirHour[]) =>
  stepsOfHours(hours).map(({ from, air }) => [from / HOUR, air.temperature] as const);
const reading = (at: number, temperature: number) => ({ from: at * HOUR, air: { temperature, humidity: 50 } });

describe('the hours of a place', () => {
  it('count by their mean', () => {
    expect(told([hour({ at: 2, temperature: 20 }), hour({ at: 1, temperature: 18 })])).toEqual([
      [1, 18],
      [2, 20],
    ]);
  });

  it('count reading by reading where somebody read a thermometer', () => {
    const typed = hour({
      at: 6,
      temperature: 17,
      device: 'typed',
      count: 2,
      readings: [reading(6.2, 16), reading(6.9, 18)],
    });
    expect(told([typed])).toEqual([
      [6.2, 16],
      [6.9, 18],
    ]);
  });

  it('end with what the device said last', () => {
    const readings = [reading(2, 19), reading(2.5, 21)];
    const newest = hour({ at: 2, temperature: 20, readings });
    expect(told([hour({ at: 1, temperature: 18 }), newest]).at(-1)).toEqual([2.5, 21]);
    // Once a newer hour is there, it is a mean like every other.
    expect(told([newest, hour({ at: 3, temperature: 22 })])).toEqual([
      [2, 20],
      [3, 22],
    ]);
  });

  it('weigh two devices by how often they read', () => {
    expect(told([hour({ at: 1, temperature: 18 }), hour({ at: 1, temperature: 21, device: 'b', count: 30 })])).toEqual([
      [1, 19],
    ]);
  });
});
