import { z } from 'zod';
import { problemsFromZod, problemText } from '../room/problem';

/** What a device sends, or a person reads: °C, % and m/s. What else a device tells of itself is passed over. */
export const readingSchema = z.object({
  at: z.iso.datetime({ offset: true, error: () => 'must be an instant such as 2031-05-06T07:30:00Z' }),
  temperature: z.number({ error: () => 'must be a number of °C' }),
  humidity: z.number({ error: () => 'must be a number of %' }),
  airSpeed: z.number().min(0, 'must be 0 or more').max(10, 'must be at most 10 m/s').optional(),
});
export type NewReading = z.infer<typeof readingSchema>;

/** A reading that is kept: `doubt` ones do not count until somebody says that they do. Instants in ms since 1970. */
export interface KeptReading extends ReadAir {
  readonly speed: number | undefined;
  readonly doubt: Doubt | undefined;
}
export type Doubt = 'fahrenheit';

/** What no air that people work in is. */
const COLDEST_C = -30;
const HOTTEST_C = 50;
/** Above this a house is rarely, but °F that were taken for °C often are. */
const DOUBTFUL_C = 38;
const CLOCK_SLACK_MS = 2 * 60_000;
const MINUTE_MS = 60_000;
const EARLIEST = Date.UTC(2000, 0, 1);

/** Air at an instant, ms since 1970. */
export interface ReadAir {
  readonly at: number;
  readonly temperature: number;
  readonly humidity: number;
}

/**
 * Why a reading cannot be kept, or undefined.
 *
 * @param now ms since 1970
 */
export function refusalOf({ at, temperature, humidity }: ReadAir, now: number): string | undefined {
  const ahead = at - now;
  if (ahead > CLOCK_SLACK_MS) return `lies ${aheadWords(ahead)} in the future: is the clock that far ahead?`;
  if (at < EARLIEST) return 'lies before the year 2000: the clock was never set';
  if (!(humidity >= 0 && humidity <= 100)) return `${humidity} % is no relative humidity`;
  if (temperature > HOTTEST_C) return `${temperature} °C is no air that people work in: is it °F?`;
  if (temperature < COLDEST_C) return `${temperature} °C is no air that people work in`;
  return undefined;
}

function aheadWords(ms: number): string {
  const minutes = Math.round(ms / MINUTE_MS);
  if (minutes < 120) return `${minutes} min`;
  return minutes < 48 * 60 ? `${Math.round(minutes / 60)} h` : `${Math.round(minutes / 1440)} days`;
}

/** What makes a reading that can be kept doubtful. */
export const doubtOf = ({ temperature }: ReadAir): Doubt | undefined =>
  temperature > DOUBTFUL_C ? 'fahrenheit' : undefined;

/** What was sent, sorted: readings to keep with their place in it, and the others with the reason. */
export interface SortedReadings {
  readonly kept: readonly (KeptReading & { readonly index: number })[];
  /** How many say again what another one said. */
  readonly repeated: number;
  readonly refused: readonly { readonly index: number; readonly reason: string }[];
}

/** Sorts what a device sent. One that is wrong does not spoil the others. */
export function sortReadings(sent: readonly unknown[], now: number): SortedReadings {
  const kept = new Map<number, KeptReading & { readonly index: number }>();
  const refused: { readonly index: number; readonly reason: string }[] = [];
  let repeated = 0;
  for (const [index, one] of sent.entries()) {
    const parsed = readingSchema.safeParse(one, { reportInput: true });
    if (!parsed.success) {
      refused.push({ index, reason: reasonOf(parsed.error) });
      continue;
    }
    const { at, temperature, humidity, airSpeed: speed } = parsed.data;
    const air = { at: Date.parse(at), temperature, humidity };
    const reason = refusalOf(air, now);
    const twin = kept.get(air.at);
    if (reason !== undefined) refused.push({ index, reason });
    else if (!twin) kept.set(air.at, { ...air, speed, doubt: doubtOf(air), index });
    else if (isSameReading(twin, air)) repeated += 1;
    else refused.push({ index, reason: `has the instant of reading ${twin.index} with other values` });
  }
  return { kept: [...kept.values()], repeated, refused };
}

/** Whether two readings of one instant say the same. */
export const isSameReading = (a: Omit<ReadAir, 'at'>, b: Omit<ReadAir, 'at'>): boolean =>
  a.temperature === b.temperature && a.humidity === b.humidity;

function reasonOf(error: z.ZodError): string {
  const [problem] = problemsFromZod(error);
  return problem ? problemText(problem) : 'is no reading';
}

/**
 * Within an hour of one device a reading farther than this from the middle one has jumped, and does not count. Common
 * practice, no source.
 */
export const JUMP = { temperature: 8, humidity: 30 } as const;
