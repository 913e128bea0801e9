import { Worker } from 'node:worker_threads';
import type { HouseHead } from '../../core/house/schema';
import type { TakenOff } from '../../core/joints/takeOff';
import type { Room } from '../../core/room/schema';
import { cutOffAfter, reportFault, threadQueue, unheld } from '../threads/threadQueue';

/** What the thread is asked, one room at a time. */
export interface Question {
  readonly room: Room;
  readonly head: HouseHead;
}

/** No room within the bounds takes a tenth of it; a page still answers in time. */
const CUT_OFF_MS = 5000;

/** Takes a room off in a thread of its own; undefined for one that takes too long. */
export const takeOffWorker = threadQueue<Question, TakenOff>(
  () =>
    unheld(
      new Worker(new URL('./takeOff.thread.ts', import.meta.url), { resourceLimits: { maxOldGenerationSizeMb: 512 } }),
    ),
  cutOffAfter(CUT_OFF_MS),
  reportFault('a take-off failed'),
);
