import { Worker } from 'node:worker_threads';
import type { HouseHead } from '../../core/house/schema';
import type { TakenOff } from '../../core/joints/takeOff';
import type { Room } from '../../core/room/schema';
import { requestLog } from '../requestLog';

/** What the thread is asked, one room at a time. */
export interface Question {
  readonly room: Room;
  readonly head: HouseHead;
}

/** As much of a thread as is used here. */
export interface Thread {
  postMessage(question: Question): void;
  on(event: 'message', listener: (takenOff: TakenOff) => void): unknown;
  on(event: 'error', listener: (error: Error) => void): unknown;
  off(event: 'message', listener: (takenOff: TakenOff) => void): unknown;
  off(event: 'error', listener: (error: Error) => void): unknown;
  terminate(): unknown;
}

/** No room within the bounds takes a tenth of it; a page still answers in time. */
const CUT_OFF_MS = 5000;

/**
 * Takes rooms off in a thread of its own, one after the other, so that a page that needs a long time keeps nobody waiting
 * who asks for another. What takes too long is cut off with its thread; the next room gets a new one.
 *
 * @param start makes a thread
 * @param patience calls back when a room has had its time; returns how to stop it
 * @param tell is told why one failed
 */
export function asideOf(
  start: () => Thread,
  patience: (room: Room, cutOff: () => void) => () => void,
  tell: (error: Error) => void,
): (question: Question) => Promise<TakenOff | undefined> {
  let thread: Thread | undefined;
  let last: Promise<unknown> = Promise.resolve();

  const take = (question: Question): Promise<TakenOff | undefined> =>
    new Promise((resolve) => {
      thread ??= start();
      const asked = thread;
      const end = (takenOff: TakenOff | undefined): void => {
        stop();
        asked.off('message', end);
        asked.off('error', fail);
        if (!takenOff) {
          asked.terminate();
          thread = undefined;
        }
        resolve(takenOff);
      };
      const fail = (error: Error): void => {
        tell(error);
        end(undefined);
      };
      const stop = patience(question.room, () => end(undefined));
      asked.on('message', end);
      asked.on('error', fail);
      asked.postMessage(question);
    });

  return (question) => {
    const next = last.then(() => take(question));
    last = next;
    return next;
  };
}

function startThread(): Thread {
  const worker = new Worker(new URL('./takeOff.thread.ts', import.meta.url), {
    resourceLimits: { maxOldGenerationSizeMb: 512 },
  });
  // It ends with the server, and keeps nothing from ending.
  worker.unref();
  // Nor does one that fails when nobody listens any more.
  worker.on('error', () => undefined);
  return worker;
}

/** Takes a room off aside; undefined for one that takes too long. */
export const takeOffAside = asideOf(
  startThread,
  (_room, cutOff) => {
    const timer = setTimeout(cutOff, CUT_OFF_MS);
    return () => clearTimeout(timer);
  },
  (error) => requestLog().error({ fault: 'a take-off failed', err: error }),
);
