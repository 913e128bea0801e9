import { QueryTypes } from 'sequelize';
import type { HousePlan } from '../core/plan/planHouse';
import { firm } from './firm';
import { models } from './models';

/** The plan of the crew that stands, and a digest of what it was made from. */
export interface StoredPlan {
  readonly question: string;
  readonly plan: HousePlan;
}

/** Returns the plan of the crew, or undefined. */
export async function readCrewPlan(): Promise<StoredPlan | undefined> {
  const [row] = await models().sequelize.query<StoredPlan>('SELECT question, plan FROM crew_plans WHERE firm = $1', {
    type: QueryTypes.SELECT,
    bind: [firm()],
  });
  return row;
}

/**
 * Saves a plan over the one that it was made after. Where somebody else was faster with the same question, theirs is the plan.
 *
 * @returns the plan that stands
 */
export async function saveCrewPlan({ question, plan }: StoredPlan, former: StoredPlan | undefined): Promise<HousePlan> {
  const bind = [firm(), question, JSON.stringify(plan), former ? JSON.stringify(former.plan) : null];
  const [saved] = await models().sequelize.query<{ question: string }>(
    `INSERT INTO crew_plans (firm, question, plan) VALUES ($1, $2, $3::jsonb)
     ON CONFLICT (firm) DO UPDATE SET question = excluded.question, plan = excluded.plan
     WHERE crew_plans.plan = $4::jsonb
     RETURNING question`,
    { type: QueryTypes.SELECT, bind },
  );
  if (saved) return plan;
  const theirs = await readCrewPlan();
  return theirs?.question === question ? theirs.plan : plan;
}

/** Deletes the plan of the crew: the next one is made from nothing. */
export async function dropCrewPlan(): Promise<void> {
  await models().sequelize.query('DELETE FROM crew_plans WHERE firm = $1', { bind: [firm()] });
}
