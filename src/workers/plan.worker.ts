import { expose } from 'comlink';
import { type HouseOptions, type HousePlan, planAsBefore, planHouse, planningHouse } from '../core/plan/planHouse';
import type { PlanInput } from '../core/plan/planInput';
import { whatIfs } from '../core/plan/whatIf';
import type { WhatIfPrice } from '../core/plan/whatIfPrice';

let asked = 0;
/** So much of a search is done within a second. */
const SHORT = 100_000;

/** The next message is heard between two steps. */
const breathe = () => new Promise((resolve) => setTimeout(resolve));

/** Plans away from the page; a new question ends the one before. */
const plan = {
  /**
   * @param better is told each plan that is found, the first one at once
   * @returns the last, undefined when something else was asked meanwhile
   */
  async plan(
    input: PlanInput,
    options: HouseOptions,
    better: (plan: HousePlan) => void,
  ): Promise<HousePlan | undefined> {
    asked += 1;
    const own = asked;
    let last: HousePlan | undefined;
    for (const found of planningHouse(input, options)) {
      if (!last || found.finish !== last.finish || found.assignments.length !== last.assignments.length) better(found);
      last = found;
      await breathe();
      if (own !== asked) return undefined;
    }
    return last;
  },
  /** Ends what was asked. */
  stop() {
    asked += 1;
  },
  /** What the lead could do about it, each planned anew and told as it is found. */
  async whatIf(
    input: PlanInput,
    from: HousePlan,
    others: Parameters<typeof whatIfs>[2],
    only: string | undefined,
    found: (price: WhatIfPrice) => void,
  ): Promise<void> {
    for (const price of whatIfs(input, from, others, only)) {
      found(price);
      await breathe();
    }
  },
  /** What a change would cost, without a search. */
  price: (input: PlanInput, former: HousePlan): HousePlan => planAsBefore(input, former),
  /** Returns the best plan of a short search, as where somebody is ill. */
  replan: (input: PlanInput, former: HousePlan): HousePlan => planHouse(input, { former, effort: SHORT }),
};
export type PlanWorker = typeof plan;

expose(plan);
