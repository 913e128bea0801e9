/** A cost of ranked parts: an earlier part outweighs all later ones. */
export type RankedCost = readonly number[];

const NOISE = 1e-6;

/** The sum of two ranked costs of the same length. */
export const addCosts = (a: RankedCost, b: RankedCost): RankedCost => a.map((part, index) => part + (b[index] ?? 0));

/** Negative when `a` is cheaper. */
export function compareCosts(a: RankedCost, b: RankedCost): number {
  for (let index = 0; index < a.length; index += 1) {
    const difference = (a[index] ?? 0) - (b[index] ?? 0);
    if (Math.abs(difference) > NOISE) return difference;
  }
  return 0;
}
