import { describe, expect, it } from 'vitest';
import { crewDays, instantOn, nextOn, workDays } from './shifts';

const EVERY_DAY = { weekdays: [1, 2, 3, 4, 5, 6, 7], begins: 6.5, holidays: [] };

describe('the days on which a crew works', () => {
  // Where clocks change twice a year, for a month of fasting, by half an hour, and never.
  it.each(['America/New_York', 'Africa/Casablanca', 'Australia/Lord_Howe', 'Asia/Tokyo'])(
    'begin at the same hour by the clock all the year round in %s',
    (timeZone) => {
      for (const from of ['2026-11-26T20:00:00Z', '2025-02-20T05:00:00Z', '2031-03-08T23:30:00Z']) {
        const days = workDays(EVERY_DAY, timeZone, Date.parse(from), 800);
        expect(days).toHaveLength(800);
        // Each by itself, from the calendar of the zone.
        expect(days.filter(({ day, begins }) => begins !== instantOn(day, 6.5, timeZone))).toEqual([]);
      }
    },
  );

  it('are those of the week that are no holidays', () => {
    const crew = { weekdays: [1, 2, 3, 4, 5], begins: 7, holidays: ['2026-11-26'] };
    const days = workDays(crew, 'America/New_York', Date.parse('2026-11-25T12:00:00Z'), 7);
    expect(days.map(({ day }) => day)).toEqual(['2026-11-25', '2026-11-27', '2026-11-30', '2026-12-01']);
  });
});

describe('the days of a crew', () => {
  // A Wednesday; Thursday is a holiday.
  const CREW = { weekdays: [1, 2, 3, 4, 5], begins: 7, holidays: ['2026-11-26'] };
  const from = Date.parse('2026-11-25T12:00:00Z');
  const member = (hours: number, off: readonly string[] = []) => ({ hours, off: [...off], skills: ['coat' as const] });
  const told = (members: Parameters<typeof crewDays>[1]) =>
    crewDays(CREW, members, 'America/New_York', from, 7).map(({ day, begins, ends }) => [
      day,
      (ends - begins) / 3_600_000,
    ]);

  it('last until the last one leaves, and are none on which nobody is there', () => {
    expect(told([member(6), member(8, ['2026-11-27'])])).toEqual([
      ['2026-11-25', 8],
      ['2026-11-27', 6],
      ['2026-11-30', 8],
      ['2026-12-01', 8],
    ]);
    expect(told([member(8, ['2026-11-27', '2026-11-30'])]).map(([day]) => day)).toEqual(['2026-11-25', '2026-12-01']);
    expect(told([{ ...member(8), skills: [] }])).toEqual([]);
  });

  it('are those of each person, also where the crew works on none of them', () => {
    // The 28th is a Saturday.
    expect(told([{ ...member(5), weekdays: [6] }])).toEqual([['2026-11-28', 5]]);
    expect(told([{ ...member(5), weekdays: [5, 6] }, member(8)]).map(([day, hours]) => `${day} ${hours}`)).toEqual([
      '2026-11-25 8',
      '2026-11-27 8',
      '2026-11-28 5',
      '2026-11-30 8',
      '2026-12-01 8',
    ]);
  });

  it('say when it comes next: today before its hour, else on its next day', () => {
    const days = ['2031-05-09', '2031-05-12'];
    const next = (hour: number, after: string, timeZone = 'America/New_York') => {
      const at = nextOn(days, hour, Date.parse(after), timeZone);
      return at && new Date(at).toISOString().slice(0, 16);
    };
    expect(next(7, '2031-05-09T10:59:00Z')).toBe('2031-05-09T11:00');
    expect(next(7, '2031-05-09T11:00:00Z')).toBe('2031-05-12T11:00');
    expect(next(6.5, '2031-05-10T08:00:00Z')).toBe('2031-05-12T10:30');
    expect(next(7, '2031-05-12T12:00:00Z')).toBeUndefined();
    // Over the night in which clocks change.
    const spring = nextOn(['2031-03-08', '2031-03-09'], 7, Date.parse('2031-03-08T20:00:00Z'), 'America/New_York');
    expect(spring && new Date(spring).toISOString().slice(0, 16)).toBe('2031-03-09T11:00');
  });
});
