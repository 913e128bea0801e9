/**
 * Hours for drying mud under paper tape, by relative humidity (rows) and temperature (columns).
 * source: drying-time table of the gypsum construction handbooks (from memory)
 */
export const TABLE_FAHRENHEIT = [32, 40, 50, 60, 70, 80, 100] as const;

const days = (count: number): number => count * 24;

export const TABLE_HOURS: readonly { readonly humidity: number; readonly hours: readonly number[] }[] = [
  { humidity: 0, hours: [38, 28, 19, 13, 9, 6, 3] },
  { humidity: 10, hours: [42, 30, 21, 14, 10, 7, 3.5] },
  { humidity: 20, hours: [days(2), 34, 23, 16, 11, 8, 4] },
  { humidity: 30, hours: [days(2.25), 38, 26, 18, 12, 9, 4.5] },
  { humidity: 40, hours: [days(2.5), 44, 29, 20, 14, 10, 5] },
  { humidity: 50, hours: [days(3), days(2), 36, 24, 17, 12, 6] },
  { humidity: 60, hours: [days(3.5), days(2.5), 42, 29, 20, 14, 8] },
  { humidity: 70, hours: [days(4.5), days(3.5), days(2.25), 38, 26, 19, 10] },
  { humidity: 80, hours: [days(7), days(4.5), days(3.25), days(2.25), 38, 27, 14] },
  { humidity: 85, hours: [days(10), days(6), days(4), days(3), days(2), 34, 18] },
  { humidity: 90, hours: [days(13), days(9), days(6), days(4.5), days(3), 49, 26] },
  { humidity: 91, hours: [days(14), days(10), days(7), days(4.75), days(3.25), days(2.5), 29] },
  { humidity: 92, hours: [days(15), days(11), days(8), days(5), days(3.5), days(2.75), 32] },
  { humidity: 93, hours: [days(18), days(12), days(9), days(6), days(4), days(3), 36] },
  { humidity: 94, hours: [days(20), days(14), days(10), days(7), days(5), days(3.25), 41] },
  { humidity: 95, hours: [days(25), days(17), days(12), days(8), days(6), days(4), days(2)] },
  { humidity: 96, hours: [days(28), days(21), days(14), days(10), days(7), days(5), days(2.5)] },
  { humidity: 97, hours: [days(37), days(27), days(18), days(12), days(9), days(6), days(3.25)] },
  { humidity: 98, hours: [days(53), days(38), days(26), days(18), days(12), days(9), days(4.5)] },
];
