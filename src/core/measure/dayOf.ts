/** The day of an instant (ms since 1970) where the house stands, as YYYY-MM-DD. */
export function dayOf(instant: number, timeZone: string): string {
  return formatter(timeZone).format(instant);
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
