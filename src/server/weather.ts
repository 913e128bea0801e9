import type { AirFrom } from '../core/air/airClock';
import { hoursOf, weatherReportSchema } from '../core/air/weatherReport';
import { now } from '../db/clock';
import { inFirm } from '../db/firm';
import { saveWeather } from '../db/weather';
import { askOutside } from './askOutside';
import type { HouseVisit } from './visit';

const EVERY_MS = 3_600_000;
const AFTER_FAILURE_MS = 10 * 60_000;
/** Whatever was behind the address: it tells nothing of the network that the server stands in. */
const NO_REPORT = 'no report of hours with temperature and humidity is to be had there';

/** When a house's weather was last asked for here, and why that failed. */
const asked = new Map<string, { readonly at: number; readonly failure: string | undefined }>();

/** Why the weather of a house could not be had the last time, or undefined. */
export const weatherFailure = (houseId: string): string | undefined => asked.get(houseId)?.failure;

/** Asks for the weather of a house that is visited when what is known is older than an hour. */
export async function refreshWeather({ person, id, weatherUrl: url, air }: HouseVisit): Promise<void> {
  const { askedAt } = air.weather;
  const instant = now();
  const last = asked.get(id);
  if (url === null || (askedAt !== undefined && instant - askedAt < EVERY_MS)) return;
  if (last && instant - last.at < AFTER_FAILURE_MS) return;
  await inFirm(person.firm, () => askWeather(id, url));
}

/** Asks a weather service; returns why that failed, or undefined. */
export async function askWeather(houseId: string, url: string): Promise<string | undefined> {
  const instant = now();
  asked.set(houseId, { at: instant, failure: undefined });
  const report = await fetchReport(url);
  const failure = report ? undefined : NO_REPORT;
  if (report) await saveWeather(houseId, report, new Date(instant));
  asked.set(houseId, { at: instant, failure });
  return failure;
}

/** The hours that a service tells; undefined where no report is to be had. */
async function fetchReport(url: string): Promise<readonly AirFrom[] | undefined> {
  const report = weatherReportSchema.safeParse(await askOutside(url));
  return report.success ? hoursOf(report.data) : undefined;
}
