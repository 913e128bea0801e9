import { z } from 'zod';
import { instantSchema } from '../measure/instant';
import type { AirFrom } from './airClock';

const MOST_HOURS = 2000;

/** What a weather service says: hours that were and hours to come, °C and %. */
export const weatherReportSchema = z.object({
  hours: z
    .array(
      z.object({
        at: instantSchema,
        temperature: z.number().min(-60).max(60),
        humidity: z.number().min(0).max(100),
      }),
    )
    .min(1)
    .max(MOST_HOURS),
});

/** The hours of a report in order of time; of one that comes twice the last. */
export function hoursOf({ hours }: z.infer<typeof weatherReportSchema>): readonly AirFrom[] {
  const byInstant = new Map(
    hours.map(({ at, temperature, humidity }) => {
      const from = Date.parse(at);
      return [from, { from, air: { temperature, humidity } }] as const;
    }),
  );
  return [...byInstant.values()].sort((a, b) => a.from - b.from);
}
