import { z } from 'zod';

export const UNITS = ['C', 'F'] as const;
/** In which order a date is written. */
export const DATE_ORDERS = ['ymd', 'dmy', 'mdy'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

const column = z.int().min(0).max(500);

/** Which column says what, and how. Columns count from 0. */
export const airMappingSchema = z.strictObject({
  time: column,
  /** Where the time of day stands in a column of its own. */
  clock: column.nullable(),
  temperature: column,
  humidity: column,
  unit: z.enum(UNITS),
  order: z.enum(DATE_ORDERS),
  /** The zone of times that name none. */
  zone: z.string(),
});
export type AirMapping = Readonly<z.infer<typeof airMappingSchema>>;
