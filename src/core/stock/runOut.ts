import type { Good } from '../materials/goods';

/** So much of a good is taken at an instant, ms since 1970. */
export interface Draw {
  readonly at: number;
  readonly good: Good;
  readonly amount: number;
}

/**
 * When what is there of a good is used up by what is going to be taken: the first instant at which more is taken than there is;
 * undefined where it is enough for all.
 *
 * @param draws in any order
 * @example runOut(10, [{ at: 1, good: 'taping', amount: 6 }, { at: 2, good: 'taping', amount: 6 }])  // 2
 */
export function runOut(onHand: number, draws: readonly Draw[]): number | undefined {
  let left = Math.max(0, onHand);
  for (const { at, amount } of draws.toSorted((a, b) => a.at - b.at)) {
    left -= amount;
    if (left < -SLACK) return at;
  }
  return undefined;
}

/** What is less is the rest of a pan; litres, or mm. */
const SLACK = 0.01;
