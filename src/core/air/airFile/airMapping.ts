export const UNITS = ['C', 'F'] as const;
/** In which order a date is written. */
export const DATE_ORDERS = ['ymd', 'dmy', 'mdy'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

/** Which column of a file of readings says what, and how. Columns count from 0. */
export interface AirMapping {
  readonly time: number;
  /** Where the time of day stands in a column of its own. */
  readonly clock: number | null;
  readonly temperature: number;
  readonly humidity: number;
  readonly unit: (typeof UNITS)[number];
  readonly order: DateOrder;
  /** The zone of times that name none. */
  readonly zone: string;
}
