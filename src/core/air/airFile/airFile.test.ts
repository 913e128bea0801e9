import { describe, expect, it } from 'vitest';
import type { AirMapping } from './airMapping';
import { airTable, guessMapping } from './airTable';
import { fileTime } from './fileTime';
import { lookAtFile } from './lookAtFile';
import { readAirFile } from './readAirFile';

const NOW = Date.parse('2031-12-01T00:00:00Z');
const ZONE = 'America/New_York';
const read = (text: string, fields: Partial<AirMapping> = {}) => {
  const table = airTable(text);
  if (!table) throw new Error('the text is a table');
  return readAirFile(table, { ...guessMapping(table, ZONE), ...fields }, NOW);
};
const instants = (text: string) => read(text).readings.map(({ at }) => new Date(at).toISOString());

describe('the columns of a file', () => {
  it.each([
    [
      'Timestamp,Temperature (°C),Relative humidity (%)\n2031-05-06 07:00,19.5,55',
      { time: 0, clock: null, temperature: 1, humidity: 2, unit: 'C', order: 'ymd' },
    ],
    [
      'No;Date;Time;RH;Temp °F\n1;13.5.2031;7:00;55;67',
      { time: 1, clock: 2, temperature: 4, humidity: 3, unit: 'F', order: 'dmy' },
    ],
    [
      'date,humidity,temp\n5/26/2031 7:00 PM,55,19',
      { time: 0, clock: null, temperature: 2, humidity: 1, unit: 'C', order: 'mdy' },
    ],
    ['2031-05-06 07:00,19.5,55', { time: 0, clock: null, temperature: 1, humidity: 2, unit: 'C', order: 'ymd' }],
  ])('are found by their names and contents: %j', (text, mapping) => {
    const table = airTable(text);
    expect(table && guessMapping(table, ZONE)).toEqual({ ...mapping, zone: ZONE });
  });

  it('are none in a text without a table', () => {
    expect(airTable('hello')).toBeUndefined();
    expect(airTable('')).toBeUndefined();
  });
});

describe('the times of a file', () => {
  const at = (text: string, order: AirMapping['order'] = 'ymd') => {
    const time = fileTime(text, order, ZONE, undefined);
    return time.ok ? new Date(time.at).toISOString() : time.reason;
  };

  it.each([
    ['2031-05-06 07:00', 'ymd', '2031-05-06T11:00:00.000Z'],
    ['2031-05-06T07:00:30Z', 'ymd', '2031-05-06T07:00:30.000Z'],
    ['2031-05-06T07:00:30.250+02:00', 'ymd', '2031-05-06T05:00:30.000Z'],
    ['6.5.31 7:00', 'dmy', '2031-05-06T11:00:00.000Z'],
    ['5/6/2031 12:15 AM', 'mdy', '2031-05-06T04:15:00.000Z'],
    ['5/6/2031 12:15 p.m.', 'mdy', '2031-05-06T16:15:00.000Z'],
    ['1935910800', 'ymd', '2031-05-07T09:00:00.000Z'],
    ['1935910800000', 'ymd', '2031-05-07T09:00:00.000Z'],
  ] as const)('%s in the order %s is %s', (text, order, instant) => {
    expect(at(text, order)).toBe(instant);
  });

  it.each([
    ['', 'has no time'],
    ['soon', '"soon" is no date and time'],
    ['2031-02-30 07:00', '"2031-02-30 07:00" is no date and time in this order'],
    ['2031-05-06 25:00', '"2031-05-06 25:00" is no date and time in this order'],
    ['2031-03-09 02:30', '"2031-03-09 02:30" does not exist in America/New_York: clocks were put forward'],
  ])('"%s" is refused: %s', (text, reason) => {
    expect(at(text)).toBe(reason);
  });

  it('keep the hour apart that comes twice when clocks are put back', () => {
    const lines = ['00:30', '01:00', '01:30', '01:00', '01:30', '02:00'].map((time) => `2031-11-02 ${time},19,50`);
    expect(instants(['time,temp,rh', ...lines].join('\n'))).toEqual([
      '2031-11-02T04:30:00.000Z',
      '2031-11-02T05:00:00.000Z',
      '2031-11-02T05:30:00.000Z',
      '2031-11-02T06:00:00.000Z',
      '2031-11-02T06:30:00.000Z',
      '2031-11-02T07:00:00.000Z',
    ]);
  });
});

describe('a file of readings', () => {
  it('is taken with commas or points, units behind the numbers, and a mark before the text', () => {
    const { readings, refused } = read('\uFEFFtime;temp;rh\n2031-05-06 07:00;19,5 °C;55 %');
    expect(refused).toEqual([]);
    expect(readings[0]).toMatchObject({ temperature: 19.5, humidity: 55 });
  });

  it('leaves out lines that are wrong, with the reason, and keeps the rest', () => {
    const file = read(
      [
        'time,temp,rh',
        '2031-05-06 07:00,19,50',
        '2031-05-06 07:10,,50',
        '2031-05-06 07:20,19,damp',
        '2031-05-06 07:30,19,130',
        '2032-05-06 07:30,19,50',
        '2031-05-06 07:00,19,50',
        '2031-05-06 07:00,20,50',
        '2031-05-06 07:40,19,51',
      ].join('\n'),
    );
    expect(file.readings.length).toBe(2);
    expect(file.repeated).toBe(1);
    expect(file.refused).toEqual([
      { line: 2, reason: '"" is no temperature' },
      { line: 3, reason: '"damp" is no humidity' },
      { line: 4, reason: '130 % is no relative humidity' },
      { line: 5, reason: 'lies 157 days in the future: is the clock that far ahead?' },
      { line: 7, reason: 'has the time of line 1 with other values' },
    ]);
  });

  it('with two time zones keeps the commoner one and says what is wrong with the other', () => {
    const file = read(
      [
        'time,temp,rh',
        '2031-05-06T07:00:00-04:00,19,50',
        '2031-05-06 07:10,19,50',
        '2031-05-06T07:20:00+01:00,19,50',
      ].join('\n'),
    );
    expect(file.readings.length).toBe(2);
    expect(file.refused).toEqual([
      { line: 3, reason: 'names the zone +01:00, the rest of the file goes by the chosen time zone' },
    ]);
  });

  it('may be all in one other zone', () => {
    expect(instants('time,temp,rh\n2031-05-06T07:00:00Z,19,50\n2031-05-06T08:00:00Z,19,50')).toEqual([
      '2031-05-06T07:00:00.000Z',
      '2031-05-06T08:00:00.000Z',
    ]);
  });

  it('in °F that says °C is noticed, and right once it is read so', () => {
    const text = 'time,temp,rh\n2031-05-06 07:00,66,50\n2031-05-06 07:10,67,50';
    expect(read(text)).toMatchObject({ doubts: ['looksLikeFahrenheit'], readings: [] });
    expect(read(text, { unit: 'F' })).toMatchObject({ doubts: [], refused: [] });
    expect(read(text, { unit: 'F' }).readings[0]?.temperature).toBeCloseTo(18.89, 2);
  });

  it('in °C that says °F is noticed too', () => {
    expect(read('time,temp °F,rh\n2031-05-06 07:00,19,50').doubts).toEqual(['looksLikeCelsius']);
  });

  it('that was looked at and taken counts, however hot it was', () => {
    expect(read('time,temp,rh\n2031-05-06 07:00,45,50').readings[0]).toMatchObject({
      temperature: 45,
      doubt: undefined,
    });
  });

  it('takes humidity as a part of one a hundredfold, and says so', () => {
    const file = read('time,temp,rh\n2031-05-06 07:00,19,0.55');
    expect(file.readings[0]?.humidity).toBe(55);
    expect(file.doubts).toEqual(['partsOfOne']);
  });

  it('is shown by its counts, its stretch of time, and the first of what is taken and left out', () => {
    const lines = [7, 6, 5, 8, 9, 10, 11].map((hour) => `2031-05-06 ${String(hour).padStart(2, '0')}:00,19,50`);
    const look = lookAtFile(read(['time,temp,rh', ...lines, 'x,19,50'].join('\n')));
    expect(look).toMatchObject({ readings: 7, refused: 1, repeated: 0, doubts: [] });
    expect(look.first).toHaveLength(5);
    expect([look.from, look.to].map((at) => new Date(at ?? 0).toISOString())).toEqual([
      '2031-05-06T09:00:00.000Z',
      '2031-05-06T15:00:00.000Z',
    ]);
    expect(lookAtFile(read('time,temp,rh\nx,19,50')).from).toBeUndefined();
  });
});
