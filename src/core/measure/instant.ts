import { z } from 'zod';

/** No house of today was worked on before, and none will be after. */
export const isInTime = (text: string): boolean => {
  const year = new Date(text).getUTCFullYear();
  return year >= 2000 && year < 2100;
};
const NOT_IN_TIME = 'must lie between the years 2000 and 2100';

/** An instant with its zone, as entries, readings and reports write it. */
export const instantSchema = z.iso
  .datetime({ offset: true, error: () => 'must be an instant such as 2031-05-06T07:30:00Z' })
  .refine(isInTime, NOT_IN_TIME);

/** A day of the calendar. */
export const daySchema = z.iso.date('must be a day').refine(isInTime, NOT_IN_TIME);
