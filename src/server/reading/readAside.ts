import { Worker } from 'node:worker_threads';
import type { HouseHead } from '../../core/house/schema';
import type { Room } from '../../core/room/schema';
import { cutOffAfter, reportFault, threadQueue, unheld } from '../threads/threadQueue';
import { checkAll, type FirstProblem } from './checkAll';
import { type ReadFile, readText } from './readText';

interface RoomsQuestion {
  readonly head: HouseHead;
  readonly rooms: readonly Room[];
  readonly all?: readonly Room[];
}

/** What the thread is asked: to read a file, or to check rooms. */
export type Question = { readonly text: string; readonly turn: boolean } | RoomsQuestion;
type Told = { readonly read: ReadFile } | { readonly problem: FirstProblem | undefined };

/** The largest house takes four seconds. */
const CUT_OFF_MS = 20_000;
/** What is smaller is done at once: characters of a file, and rooms. */
const SMALL_TEXT = 50_000;
const FEW_ROOMS = 20;
export const TOO_LONG = 'This takes too long to check. Split the house, then try again.';

const ask = threadQueue<Question, Told>(
  () =>
    unheld(
      new Worker(new URL('./reading.thread.ts', import.meta.url), { resourceLimits: { maxOldGenerationSizeMb: 512 } }),
    ),
  cutOffAfter(CUT_OFF_MS),
  reportFault('a document could not be read'),
);

/** Reads a house file, a large one in a thread of its own. */
export async function readAside(text: string, turn: boolean): Promise<ReadFile> {
  if (text.length <= SMALL_TEXT) return readText(text, turn);
  const told = await ask({ text, turn });
  return told && 'read' in told ? told.read : { ok: false, why: TOO_LONG };
}

/** Checks rooms as `checkAll` does, many of them in a thread of their own. */
export async function checkAside(
  head: HouseHead,
  rooms: readonly Room[],
  all?: readonly Room[],
): Promise<FirstProblem | undefined> {
  if (Math.max(rooms.length, all?.length ?? 0) <= FEW_ROOMS) return checkAll(head, rooms, all);
  const told = await ask({ head, rooms, ...(all && { all }) });
  return told && 'problem' in told ? told.problem : { path: '', reason: TOO_LONG, room: undefined };
}
