/** The day of an instant (ms since 1970) where the house stands, as YYYY-MM-DD. */
export function dayOf(instant: number, timeZone: string): string {
  return formatter(timeZone).format(instant);
}

/**
 * Returns the calendar day (YYYY-MM-DD) that is `days` after the day of an instant; negative `days` are before. Counts days, not hours:
 * a day has 23 or 25 hours when clocks change.
 *
 * @example dayAfter(Date.parse('2026-11-01T04:30:00Z'), 1, 'America/New_York')  // '2026-11-02'
 */
export function dayAfter(instant: number, days: number, timeZone: string): string {
  const [year = 0, month = 1, day = 1] = dayOf(instant, timeZone).split('-').map(Number);
  return new Date(Date.UTC(year, month - 1, day + days)).toISOString().slice(0, 10);
}

// Making a formatter costs a hundred times its use.
const formatters = new Map<string, Intl.DateTimeFormat>();

function formatter(timeZone: string): Intl.DateTimeFormat {
  let known = formatters.get(timeZone);
  if (!known) {
    known = new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' });
    formatters.set(timeZone, known);
  }
  return known;
}
