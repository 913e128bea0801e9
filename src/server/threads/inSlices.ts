import type { Steps } from '../../core/measure/steps';
import { afterFastLane } from './fastLane';

/** So long others wait for steps at most, ms, unless one of them takes longer. */
const SLICE_MS = 15;

/** Does steps in slices, between which others who ask something are answered. */
export async function inSlices<Result>(steps: Steps<Result>): Promise<Result> {
  for (let from = performance.now(); ; ) {
    const { done, value } = steps.next();
    if (done) return value;
    if (performance.now() - from < SLICE_MS) continue;
    await afterFastLane();
    from = performance.now();
  }
}
