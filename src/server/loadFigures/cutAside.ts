import { Worker } from 'node:worker_threads';
import type { Wares } from '../../core/materials/catalogue';
import { type BeadCuts, cutBead, type RoomBead } from '../../core/materials/cut/cutBead';
import type { LengthUnit } from '../../core/measure/unit';
import { cutOffAfter, reportFault, threadQueue, unheld } from '../threads/threadQueue';

/** What the thread is asked, one house at a time. */
export interface Question {
  readonly pieces: readonly RoomBead[];
  readonly unit: LengthUnit;
  readonly wares: Pick<Wares, 'sticks' | 'offcuts' | 'splice'>;
}

/** So many pieces are cut while others wait. */
const FEW = 300;
/** Of 2,000 rooms it takes two seconds. */
const CUT_OFF_MS = 20_000;

const ask = threadQueue<Question, readonly BeadCuts[]>(
  () =>
    unheld(
      new Worker(new URL('./cut.thread.ts', import.meta.url), { resourceLimits: { maxOldGenerationSizeMb: 256 } }),
    ),
  cutOffAfter(CUT_OFF_MS),
  reportFault('a cutting list failed'),
);

/** Cuts bead from sticks, many pieces in a thread of their own; none where that takes too long. */
export async function cutAside({ pieces, unit, wares }: Question): Promise<readonly BeadCuts[]> {
  if (pieces.length <= FEW) return cutBead(pieces, unit, wares);
  const { sticks, offcuts, splice } = wares;
  return (await ask({ pieces, unit, wares: { sticks, offcuts, splice } })) ?? [];
}
