/** Costs are summed up in floating point. */
export const EPSILON = 1e-6;

/** Sums that sticks can cost. */
export interface Achievable {
  /** The least sum that is no less. */
  readonly atLeast: (cost: number) => number;
}

/** More sums than these are not written down: then the bound is told as it is. */
const MOST_SUMS = 200_000;

/** Which sums sticks of some costs can come to. */
export function achievable(costs: readonly number[]): Achievable {
  const least = Math.min(...costs);
  return {
    atLeast: (cost) => {
      if (cost <= EPSILON) return 0;
      const sums = new Set<number>([0]);
      const queue = [0];
      let best = Number.POSITIVE_INFINITY;
      for (let sum = queue.pop(); sum !== undefined && sums.size < MOST_SUMS; sum = queue.pop()) {
        for (const one of costs) {
          const next = Math.round((sum + one) * 1e6) / 1e6;
          if (next >= cost - EPSILON) best = Math.min(best, next);
          else if (!sums.has(next)) {
            sums.add(next);
            queue.push(next);
          }
        }
      }
      return sums.size >= MOST_SUMS ? Math.max(cost, least) : best;
    },
  };
}
