/** The day of an instant (ms since 1970) where the house stands, as YYYY-MM-DD. */
export function dayOf(instant: number, timeZone: string): string {
  return new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(
    instant,
  );
}
