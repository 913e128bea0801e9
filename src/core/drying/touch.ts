/** What a touch check finds: all of the coat still dark, only the last of it dark, all of it white. */
export const FOUND = ['grey', 'patchy', 'white'] as const;
export type Found = (typeof FOUND)[number];

/** A touch check on a coat. */
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

/** Before anybody touched anything, one crew in three is off by more than this. Common practice, no source. */
const SPREAD = Math.log(1.35);
/** The range allows for crews and cellars from half to twice the usual speed. Common practice, no source. */
const RANGE_SPREAD = Math.log(2.5);
/** A coat is patchy for the last fifth of its time. Common practice, no source. */
const PATCHY = Math.log(1.25);
/** So much the eye, and the thickness of a coat, blur the line. Common practice, no source. */
const BLUR = 0.12;
/** One touch check in seven is wrong, or was pressed by mistake. Common practice, no source. */
const WRONG = 0.15;
/** A check that the others make less likely than this contradicts them. */
const CONTRADICTS = 0.5;
/** So far a single check moves the factor against two or more that contradict it. */
const MOST_MOVED = Math.log(1.02);
/** Factors that are weighed, as logarithms: from a quarter to four. */
const FARTHEST = Math.log(4);
const STEPS = 160;
const GRID = Array.from({ length: 2 * STEPS + 1 }, (_, index) => ((index - STEPS) / STEPS) * FARTHEST);
/** The logarithm of a normal distribution over the grid, but for a constant. */
const priorOf = (spread: number): readonly number[] => GRID.map((log) => -(log * log) / (2 * spread * spread));
const PRIOR = priorOf(SPREAD);
const RANGE_PRIOR = priorOf(RANGE_SPREAD);

/**
 * Estimates how much slower coats dry than by the clock, from touch checks. Each is a bound, not a measure, and none is believed
 * whole: one that contradicts two others or more moves the factor by 2 % at most until another check agrees with it. The order
 * of the checks does not matter. The factor is cautious; the range allows for crews from half to twice the usual speed.
 *
 * @example slownessFrom([]).factor  // 1
 * @example slownessFrom([{ dried: 1.3, found: 'grey' }]).factor > 1  // true: it should have been dry
 */
export function slownessFrom(touches: readonly Touch[]): Slowness {
  const chances = touches.map((touch) => GRID.map((log) => chanceOf(touch, log)));
  const [logs, rangeLogs] = [PRIOR, RANGE_PRIOR].map((prior) =>
    prior.map((start, at) => chances.reduce((sum, chance) => sum + Math.log(chance[at] ?? 1), start)),
  ) as [number[], number[]];
  const factor = cautious(quantile(weightsOf(logs), 0.5), logs, chances);
  const range = weightsOf(rangeLogs);
  const [low, high] = [quantile(range, 0.1), quantile(range, 0.9)];
  return { factor: Math.exp(factor), low: Math.exp(Math.min(low, factor)), high: Math.exp(Math.max(high, factor)) };
}

/** Holds the factor back, as a logarithm, where a single check pulls it away from two others or more. */
function cautious(factor: number, logs: readonly number[], chances: readonly (readonly number[])[]): number {
  if (chances.length < 3) return factor;
  let [least, without] = [CONTRADICTS, factor];
  for (const chance of chances) {
    const others = weightsOf(logs.map((log, at) => log - Math.log(chance[at] ?? 1)));
    const whole = others.reduce((sum, weight) => sum + weight, 0);
    const expected = others.reduce((sum, weight, at) => sum + weight * (chance[at] ?? 0), 0) / whole;
    if (expected >= least) continue;
    least = expected;
    without = quantile(others, 0.5);
  }
  return Math.min(without + MOST_MOVED, Math.max(without - MOST_MOVED, factor));
}

/** How likely a check finds this where coats take so much longer, as a logarithm. */
function chanceOf({ dried, found }: Touch, log: number): number {
  const over = Math.log(Math.max(dried, 1e-6)) - log;
  const white = below(over / BLUR);
  const grey = below((-PATCHY - over) / BLUR);
  const right = { white, grey, patchy: Math.max(0, 1 - white - grey) }[found];
  return (1 - WRONG) * right + WRONG / FOUND.length;
}

/** The logistic curve that is next to the normal distribution. */
const below = (x: number): number => 1 / (1 + Math.exp(-1.702 * x));

/** Weights whose largest is 1, from their logarithms. */
function weightsOf(logs: readonly number[]): readonly number[] {
  const top = Math.max(...logs);
  return logs.map((log) => Math.exp(log - top));
}

/** Where the weights below reach a share of them all, between two points of the grid. */
function quantile(weights: readonly number[], share: number): number {
  const goal = share * weights.reduce((sum, weight) => sum + weight, 0);
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

/** Of its time, a grey coat has a quarter to go at least, and a patchy one a tenth. Common practice, no source. */
const STILL_TO_GO: Readonly<Record<Exclude<Found, 'white'>, number>> = { grey: 1.25, patchy: 1.1 };

/**
 * Returns how much of the drying that a coat had when it was touched it takes at least in all; undefined for a white coat, which
 * is ready.
 *
 * @example atLeastTimes('grey')  // 1.25
 */
export const atLeastTimes = (found: Found): number | undefined => (found === 'white' ? undefined : STILL_TO_GO[found]);
