import fc from 'fast-check';
import { type Ground, type OddRequest, oddRequests } from './oddRequests';

/** What came of many odd requests. */
export interface Outcome {
  /** How often each status was answered. */
  readonly statuses: Readonly<Record<number, number>>;
  /** Requests that were answered with a fault, in more than ten seconds, or not at all. */
  readonly faults: readonly string[];
  /** ms */
  readonly slowest: number;
}

const MOST_AT_ONCE = 8;
const LONGEST_MS = 10_000;
const SLICE = 500;
const SHOWN_FAULTS = 20;

/**
 * Sends odd requests to a server, some at once, always the same for a seed.
 *
 * @param base the server's address
 * @param look called between slices
 */
export async function sendAll(
  base: string,
  ground: Ground,
  count: number,
  seed: number,
  look: (sent: number) => void = () => {},
): Promise<Outcome> {
  const statuses: Record<number, number> = {};
  const faults: string[] = [];
  let slowest = 0;
  const arbitrary = oddRequests(ground);
  for (let sent = 0; sent < count; sent += SLICE) {
    const left = fc.sample(arbitrary, { seed: seed + sent, numRuns: Math.min(SLICE, count - sent) });
    const next = async (): Promise<void> => {
      for (let request = left.pop(); request; request = left.pop()) {
        const from = performance.now();
        const fault = await sendOne(base, request, statuses).catch(
          (error: Error) => `no answer: ${error.cause ?? error}`,
        );
        const ms = performance.now() - from;
        slowest = Math.max(slowest, ms);
        const late = ms > LONGEST_MS ? `${Math.round(ms)} ms` : undefined;
        if ((fault ?? late) !== undefined && faults.length < SHOWN_FAULTS)
          faults.push(`${fault ?? late}: ${wordsOf(request)}`);
      }
    };
    await Promise.all(Array.from({ length: MOST_AT_ONCE }, next));
    look(Math.min(count, sent + SLICE));
  }
  return { statuses, faults, slowest };
}

/** What is wrong with the answer to a request, if anything. */
async function sendOne(
  base: string,
  { method, path, headers, body }: OddRequest,
  statuses: Record<number, number>,
): Promise<string | undefined> {
  const abort = new AbortController();
  const answer = await fetch(base + path, {
    method,
    headers,
    redirect: 'manual',
    signal: abort.signal,
    ...(body === undefined ? {} : { body: body as BodyInit }),
  });
  statuses[answer.status] = (statuses[answer.status] ?? 0) + 1;
  // A stream does not end by itself.
  if (answer.headers.get('content-type')?.startsWith('text/event-stream')) abort.abort();
  const text = await answer.text().catch(() => '');
  if (answer.status === 503) return /does not answer|stops|busy/.test(text) ? undefined : 'a 503 that says nothing';
  return answer.status >= 500 ? String(answer.status) : undefined;
}

const wordsOf = ({ method, path, body }: OddRequest): string => `${method} ${path} ${String(body ?? '').slice(0, 300)}`;
