import { z } from 'zod';

/** A time zone that this machine knows. */
export const timeZoneSchema = z
  .string()
  .refine((zone) => Intl.supportedValuesOf('timeZone').includes(zone) || zone === 'UTC', 'is no time zone');
