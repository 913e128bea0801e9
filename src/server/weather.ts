import type { AirFrom } from '../core/drying/airClock';
import { hoursOf, weatherReportSchema } from '../core/drying/weatherReport';
import { now } from '../db/clock';
import { saveWeather } from '../db/weather';

const EVERY_MS = 3_600_000;
const AFTER_FAILURE_MS = 10 * 60_000;
const LONGEST_MS = 5000;

/** When a house's weather was last asked for here, and why that failed. */
const asked = new Map<string, { readonly at: number; readonly failure: string | undefined }>();

/** Why the weather of a house could not be had the last time, or undefined. */
export const weatherFailure = (houseId: string): string | undefined => asked.get(houseId)?.failure;

/** Asks for the weather of a house when what is known is older than an hour. */
export async function refreshWeather(houseId: string, url: string | null, askedAt: number | undefined): Promise<void> {
  const instant = now();
  const last = asked.get(houseId);
  if (url === null || (askedAt !== undefined && instant - askedAt < EVERY_MS)) return;
  if (last && instant - last.at < AFTER_FAILURE_MS) return;
  await askWeather(houseId, url);
}

/** Asks a weather service; returns why that failed, or undefined. */
export async function askWeather(houseId: string, url: string): Promise<string | undefined> {
  const instant = now();
  asked.set(houseId, { at: instant, failure: undefined });
  const report = await fetchReport(url);
  const failure = typeof report === 'string' ? report : undefined;
  if (typeof report !== 'string') await saveWeather(houseId, report, new Date(instant));
  asked.set(houseId, { at: instant, failure });
  return failure;
}

/** The hours that a service tells, or why it does not. */
async function fetchReport(url: string): Promise<readonly AirFrom[] | string> {
  try {
    const answer = await fetch(url, {
      signal: AbortSignal.timeout(LONGEST_MS),
      redirect: 'error',
      headers: { accept: 'application/json' },
    });
    if (!answer.ok) return `it answers with status ${answer.status}`;
    const parsed = weatherReportSchema.safeParse(await answer.json());
    return parsed.success ? hoursOf(parsed.data) : 'what it sends is no list of hours with temperature and humidity';
  } catch (error) {
    if (error instanceof SyntaxError) return 'what it sends is no JSON';
    return error instanceof Error && error.name === 'TimeoutError' ? 'it took longer than 5 s' : 'it does not answer';
  }
}
