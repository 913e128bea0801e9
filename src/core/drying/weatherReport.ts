import { z } from 'zod';
import type { AirFrom } from './airClock';

const MOST_HOURS = 2000;

/** What a weather service says: hours that were and hours to come, °C and %. */
export const weatherReportSchema = z.object({
  hours: z
    .array(
      z.object({
        at: z.iso.datetime({ offset: true }),
        temperature: z.number().min(-60).max(60),
        humidity: z.number().min(0).max(100),
      }),
    )
    .min(1)
    .max(MOST_HOURS),
});

/** The hours of a report in order of time. */
export const hoursOf = ({ hours }: z.infer<typeof weatherReportSchema>): readonly AirFrom[] =>
  hours
    .map(({ at, temperature, humidity }) => ({ from: Date.parse(at), air: { temperature, humidity } }))
    .sort((a, b) => a.from - b.from);
