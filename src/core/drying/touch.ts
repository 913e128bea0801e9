/** What a thumb finds: all of it still dark, the last of it dark, all of it white. */
export const FOUND = ['grey', 'patchy', 'white'] as const;
export type Found = (typeof FOUND)[number];

/** A thumb on a coat. */
export interface Touch {
  /** How far the coat was by the clock, 1 where it was dry by then. */
  readonly dried: number;
  readonly found: Found;
}

/** How much longer coats take to dry than by the clock: 1 as the clock says, 2 twice as long. */
export interface Slowness {
  readonly factor: number;
  /** It is between these four times out of five. */
  readonly low: number;
  readonly high: number;
}

/** What is known before anybody touched anything: one time in three it is off by more than this. Common practice, no source. */
const SPREAD = Math.log(1.35);
/** A coat is patchy for the last fifth of its time. Common practice, no source. */
const PATCHY = Math.log(1.25);
/** So much a thumb, and the thickness of a coat, blur the line. Common practice, no source. */
const BLUR = 0.12;
/** One thumb in seven is wrong, or says what it did not mean. Common practice, no source. */
const WRONG = 0.15;
/** Factors that are weighed, as logarithms: from a quarter to four. */
const FARTHEST = Math.log(4);
const STEPS = 160;
const GRID = Array.from({ length: 2 * STEPS + 1 }, (_, index) => ((index - STEPS) / STEPS) * FARTHEST);

/**
 * How much slower coats dry than by the clock, from what thumbs found: each is a bound, not a measure, and no single one is
 * believed whole. Bayes on a grid of logarithms; their order does not matter.
 *
 * @example slownessFrom([]).factor  // 1
 * @example slownessFrom([{ dried: 1.3, found: 'grey' }]).factor > 1  // true: it should have been dry
 */
export function slownessFrom(touches: readonly Touch[]): Slowness {
  const logs = GRID.map((log) =>
    touches.reduce((sum, touch) => sum + Math.log(chanceOf(touch, log)), -(log * log) / (2 * SPREAD * SPREAD)),
  );
  const top = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - top));
  const sum = weights.reduce((all, weight) => all + weight, 0);
  const at = (share: number) => Math.exp(quantile(weights, share * sum));
  return { factor: at(0.5), low: at(0.1), high: at(0.9) };
}

/** How likely a thumb finds this where coats take so much longer, as a logarithm. */
function chanceOf({ dried, found }: Touch, log: number): number {
  const over = Math.log(Math.max(dried, 1e-6)) - log;
  const white = below(over / BLUR);
  const grey = below((-PATCHY - over) / BLUR);
  const right = { white, grey, patchy: Math.max(0, 1 - white - grey) }[found];
  return (1 - WRONG) * right + WRONG / FOUND.length;
}

/** The logistic curve that is next to the normal distribution. */
const below = (x: number): number => 1 / (1 + Math.exp(-1.702 * x));

/** Where the weights below reach a sum, between two points of the grid. */
function quantile(weights: readonly number[], goal: number): number {
  let sum = 0;
  for (const [index, weight] of weights.entries()) {
    if (sum + weight >= goal) {
      const step = (GRID[1] ?? 0) - (GRID[0] ?? 0);
      return (GRID[index] ?? 0) + ((goal - sum) / weight - 0.5) * step;
    }
    sum += weight;
  }
  return FARTHEST;
}
