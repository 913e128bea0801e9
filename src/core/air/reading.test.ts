import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readings } from '../../../standins/room';
import { sortReadings } from './reading';

const NOW = Date.parse('2031-05-06T07:00:00Z');
const sent = (fields: object = {}) => ({ at: '2031-05-06T06:59:00Z', temperature: 19.5, humidity: 55, ...fields });
const reasonOf = (fields: object) => sortReadings([sent(fields)], NOW).refused[0]?.reason;

describe('what a device sends', () => {
  it('is kept when it is sound', () => {
    expect(sortReadings([sent({ airSpeed: 0.4 })], NOW)).toEqual({
      kept: [
        {
          at: NOW - 60_000,
          temperature: 19.5,
          humidity: 55,
          speed: 0.4,
          doubt: undefined,
          index: 0,
        },
      ],
      repeated: 0,
      refused: [],
    });
  });

  it.each([
    [{ at: '2031-05-06T08:00:00Z' }, 'lies 60 min in the future: is the clock that far ahead?'],
    [{ at: '2031-05-09T07:00:00Z' }, 'lies 3 days in the future: is the clock that far ahead?'],
    [{ at: '1970-01-01T00:00:10Z' }, 'lies before the year 2000: the clock was never set'],
    [{ at: 'yesterday' }, 'at: must be an instant such as 2031-05-06T07:30:00Z'],
    [{ temperature: 66 }, '66 °C is no air that people work in: is it °F?'],
    [{ temperature: -45 }, '-45 °C is no air that people work in'],
    [{ temperature: 'warm' }, 'temperature: must be a number of °C'],
    [{ humidity: 120 }, '120 % is no relative humidity'],
    [{ humidity: null }, 'humidity: must be a number of %'],
    [{ airSpeed: -1 }, 'airSpeed: must be 0 or more'],
  ])('is refused when it is %j', (fields, reason) => {
    expect(reasonOf(fields)).toBe(reason);
  });

  it('may tell more of itself', () => {
    expect(reasonOf({ battery: 3 })).toBeUndefined();
  });

  it('is taken from a clock that is a minute fast', () => {
    expect(reasonOf({ at: '2031-05-06T07:01:00Z' })).toBeUndefined();
  });

  it('is doubted when it looks like °F sent as °C', () => {
    expect(sortReadings([sent({ temperature: 45 })], NOW).kept[0]?.doubt).toBe('fahrenheit');
  });

  it('counts once when it is said twice, and is refused when it is said otherwise', () => {
    const { kept, repeated, refused } = sortReadings([sent(), sent(), sent({ humidity: 56 })], NOW);
    expect([kept.length, repeated]).toEqual([1, 1]);
    expect(refused).toEqual([{ index: 2, reason: 'has the instant of reading 0 with other values' }]);
  });

  it('is judged one by one: a wrong one spoils no other', () => {
    fc.assert(
      fc.property(fc.array(fc.boolean(), { maxLength: 40 }), (sound) => {
        const batch = sound.map((good, index) =>
          sent({ at: new Date(NOW - (index + 1) * 60_000).toISOString(), humidity: good ? 50 : 500 }),
        );
        const { kept, refused } = sortReadings(batch, NOW);
        expect(kept.map(({ index }) => index)).toEqual(sound.flatMap((good, index) => (good ? [index] : [])));
        expect(refused.map(({ index }) => index)).toEqual(sound.flatMap((good, index) => (good ? [] : [index])));
      }),
    );
  });
});

describe('the made-up sensors', () => {
  const room = { seed: 11, heatedTo: 19, wetAt: [NOW - 20 * 3_600_000] };
  const week = readings(room, NOW - 7 * 86_400_000, NOW, 600_000);

  it('say the same whenever they are asked', () => {
    expect(readings(room, NOW - 3_600_000, NOW, 600_000)).toEqual(
      week.filter(({ at }) => Date.parse(at) >= NOW - 3_600_000),
    );
  });

  it('send nothing that is refused, and drop out now and then', () => {
    expect(sortReadings(week, NOW).refused).toEqual([]);
    expect(week.length).toBeLessThan(7 * 144);
    expect(week.length).toBeGreaterThan(7 * 144 * 0.9);
  });

  it('are damper after mud went on, and drier with a fan', () => {
    const dampness = (fields: object) => {
      const last = readings({ ...room, ...fields }, NOW - 3 * 3_600_000, NOW, 600_000);
      return last.reduce((sum, { humidity }) => sum + humidity, 0) / last.length;
    };
    expect(dampness({})).toBeGreaterThan(dampness({ wetAt: [] }) + 2);
    expect(dampness({ fan: { from: 0, speed: 0.8 } })).toBeLessThan(dampness({}) - 1);
  });
});
