import { describe, expect, it } from 'vitest';
import { instantOn, workDays } from './shifts';

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
