import { createHash } from 'node:crypto';
import { jsonSteps } from '../../core/measure/jsonSteps';
import type { HouseOptions, HousePlan } from '../../core/plan/planHouse';
import type { PlanInput } from '../../core/plan/planInput';
import { readCrewPlan, saveCrewPlan } from '../../db/crewPlans';
import { firm } from '../../db/firm';
import { inSlices } from '../threads/inSlices';
import { planWorker } from './planWorker';

/** Where only time went by, little is searched: what was to begin by now begins a little later. */
const SLIPPED_EFFORT = 30_000;

/** Plans that are being read or made, by what they are made from. */
const making = new Map<string, Promise<HousePlan | undefined>>();

/**
 * Returns the plan of the crew for all of its houses as they stand: made once for each state of them, by whichever page asks first, and the
 * same on every page, for everybody and from every server. A new one is searched for from the one before, so that it moves no more than it
 * must.
 *
 * @returns undefined where it cannot be made in time
 */
export async function currentPlan(
  input: PlanInput,
  plan: (question: { input: PlanInput; options: HouseOptions }) => Promise<HousePlan | undefined> = planWorker,
): Promise<HousePlan | undefined> {
  const question = await questionOf(input);
  const key = `${firm()} ${question} ${input.from}`;
  // Looked up before anything is read: whoever reads the database later finds what was saved meanwhile.
  const known = making.get(key);
  if (known) return known;
  const made = readOrMake().finally(() => making.delete(key));
  making.set(key, made);
  return made;

  async function readOrMake(): Promise<HousePlan | undefined> {
    const former = await readCrewPlan();
    const isSame = former?.question === question;
    if (isSame && holds(former.plan, input.from)) return former.plan;
    const found = await plan({
      input,
      options: { ...(former ? { former: former.plan } : {}), ...(isSame ? { effort: SLIPPED_EFFORT } : {}) },
    });
    return found && saveCrewPlan({ question, plan: found }, former);
  }
}

/** Returns a digest of all that a plan is made from but the instant from which it is. */
const questionOf = async (input: PlanInput): Promise<string> =>
  createHash('sha256')
    .update(await inSlices(jsonSteps({ ...input, from: 0 })))
    .digest('base64url');

/** Whether nothing of a plan should have begun before an instant. */
const holds = ({ assignments }: HousePlan, from: number): boolean => assignments.every(({ start }) => start >= from);
