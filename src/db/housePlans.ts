import { QueryTypes } from 'sequelize';
import type { HousePlan } from '../core/plan/planHouse';
import { firm } from './firm';
import { models } from './models';

/** A house planned by itself, or all houses of the crew together. */
export type PlanScope = 'house' | 'all';

/** The plan of a house that stands, and a digest of what it was made from. */
export interface StoredPlan {
  readonly question: string;
  readonly plan: HousePlan;
}

export async function readHousePlan(houseId: string, scope: PlanScope): Promise<StoredPlan | undefined> {
  const [row] = await models().sequelize.query<StoredPlan>(
    'SELECT question, plan FROM house_plans WHERE firm = $1 AND house_id = $2 AND scope = $3',
    { type: QueryTypes.SELECT, bind: [firm(), houseId, scope] },
  );
  return row;
}

/**
 * Saves a plan over the one that it was made after. Where somebody else was faster with the same question, theirs is the plan.
 *
 * @returns the plan that stands
 */
export async function saveHousePlan(
  houseId: string,
  scope: PlanScope,
  { question, plan }: StoredPlan,
  former: StoredPlan | undefined,
): Promise<HousePlan> {
  const bind = [firm(), houseId, scope, question, JSON.stringify(plan), former ? JSON.stringify(former.plan) : null];
  const [saved] = await models().sequelize.query<{ question: string }>(
    `INSERT INTO house_plans (firm, house_id, scope, question, plan) VALUES ($1, $2, $3, $4, $5::jsonb)
     ON CONFLICT (firm, house_id, scope) DO UPDATE SET question = excluded.question, plan = excluded.plan
     WHERE house_plans.plan = $6::jsonb
     RETURNING question`,
    { type: QueryTypes.SELECT, bind },
  );
  if (saved) return plan;
  const theirs = await readHousePlan(houseId, scope);
  return theirs?.question === question ? theirs.plan : plan;
}

/** Deletes the plan of a house, and that of all houses together, which it is part of: the next ones are made from nothing. */
export async function dropHousePlan(houseId: string): Promise<void> {
  await models().sequelize.query("DELETE FROM house_plans WHERE firm = $1 AND (house_id = $2 OR scope = 'all')", {
    bind: [firm(), houseId],
  });
}
