import { describe, expect, it } from 'vitest';
import { hoursOfDays } from './houseHours';

const at = (text: string) => Date.parse(text);
const text = (instant: number) => new Date(instant).toISOString().slice(0, 16);
const NEW_YORK = 'America/New_York';

describe('the hours of days', () => {
  const told = (start: number, end: number, from: string, to: string) =>
    hoursOfDays(start, end, { from: at(from), to: at(to) }, NEW_YORK).map((part) => [text(part.from), text(part.to)]);

  it('are every shift of a stretch, cut at its ends', () => {
    expect(told(7, 16, '2031-05-06T15:00:00Z', '2031-05-07T13:00:00Z')).toEqual([
      ['2031-05-06T15:00', '2031-05-06T20:00'],
      ['2031-05-07T11:00', '2031-05-07T13:00'],
    ]);
  });

  it('are nights that end on the next day, the one that began yesterday included', () => {
    expect(told(20, 6, '2031-05-06T05:00:00Z', '2031-05-07T05:00:00Z')).toEqual([
      ['2031-05-06T05:00', '2031-05-06T10:00'],
      ['2031-05-07T00:00', '2031-05-07T05:00'],
    ]);
  });

  it('make days of 23 hours when clocks are put forward', () => {
    const [day] = hoursOfDays(0, 24, { from: at('2031-03-09T05:00:00Z'), to: at('2031-03-10T04:00:00Z') }, NEW_YORK);
    expect(day && (day.to - day.from) / 3_600_000).toBe(23);
  });
});
