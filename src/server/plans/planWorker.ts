import { Worker } from 'node:worker_threads';
import { jsonSteps } from '../../core/measure/jsonSteps';
import type { HouseOptions, HousePlan } from '../../core/plan/planHouse';
import type { PlanInput } from '../../core/plan/planInput';
import { inSlices } from '../threads/inSlices';
import { cutOffAfter, reportFault, threadQueue, unheld } from '../threads/threadQueue';

/** What the thread is asked, one plan at a time. */
export interface Question {
  readonly input: PlanInput;
  readonly options: HouseOptions;
}

/** A plan of a very large house takes a few seconds. */
const CUT_OFF_MS = 60_000;

/**
 * Plans in a thread of its own; undefined for what takes too long. The question goes there as text, which is written in slices: a copy of
 * many objects is made in one go.
 */
export const planWorker = async (question: Question): Promise<HousePlan | undefined> =>
  planThread(await inSlices(jsonSteps(question)));

const planThread = threadQueue<string, HousePlan>(
  () =>
    unheld(
      new Worker(new URL('./plan.thread.ts', import.meta.url), { resourceLimits: { maxOldGenerationSizeMb: 512 } }),
    ),
  cutOffAfter(CUT_OFF_MS),
  reportFault('a plan failed'),
);
