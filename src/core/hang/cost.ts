import type { HangPlan } from '../room/resolveHang';

/** What a layout of boards costs: work in priced mm of joint, rules broken by count, sheets, and waste in mm². */
export interface CostParts {
  readonly work: number;
  /** Butts over the corners of openings. */
  readonly corners: number;
  /** Butts too close to one of the neighbouring course. */
  readonly stagger: number;
  readonly sheets: number;
  readonly waste: number;
}
export const NO_COST: CostParts = { work: 0, corners: 0, stagger: 0, sheets: 0, waste: 0 };

export const addParts = (a: CostParts, b: CostParts): CostParts => ({
  work: a.work + b.work,
  corners: a.corners + b.corners,
  stagger: a.stagger + b.stagger,
  sheets: a.sheets + b.sheets,
  waste: a.waste + b.waste,
});

/** The parts of a cost in the order in which they weigh. */
export type Ranking = readonly (keyof CostParts)[];

/** What each aim puts first. Fewer butts beat a better stagger in all of them. */
export const RANKINGS: Readonly<Record<HangPlan['aim'], Ranking>> = {
  joints: ['work', 'corners', 'stagger', 'sheets', 'waste'],
  boards: ['sheets', 'work', 'corners', 'stagger', 'waste'],
  waste: ['waste', 'work', 'corners', 'stagger', 'sheets'],
};

/** A cost of ranked parts: an earlier part outweighs all later ones. */
export type RankedCost = readonly number[];

/** Differences that only come of measuring, as a part of the cost. */
const NOISE = 1e-6;

export function rankedCost(ranking: Ranking, parts: CostParts): RankedCost {
  return ranking.map((part) => parts[part]);
}

/** How finely each part is counted in a whole cost, and how much of it there can be in one course. */
const STEPS: Readonly<Record<keyof CostParts, { readonly per: number; readonly most: number }>> = {
  work: { per: 10, most: 2 ** 24 },
  corners: { per: 1, most: 64 },
  stagger: { per: 1, most: 64 },
  sheets: { per: 1000, most: 2 ** 20 },
  waste: { per: 0.001, most: 2 ** 20 },
};

/** The weight of one unit of each part in a whole cost; 0 for parts that are not ranked. */
type Weights = Readonly<Record<keyof CostParts, number>>;

function weightsOf(ranking: Ranking): Weights {
  const weights = { ...NO_COST };
  let weight = 1;
  for (const part of ranking.toReversed()) {
    weights[part] = weight;
    weight *= STEPS[part].most;
  }
  return weights;
}

/** The ranked parts as one whole number: sums compare as the parts would, rank by rank, and equal costs are equal. */
export const wholeCost = (weights: Weights, { work, corners, stagger, sheets, waste }: CostParts): number =>
  weights.work * Math.round(work * STEPS.work.per) +
  weights.corners * corners +
  weights.stagger * stagger +
  weights.sheets * Math.round(sheets * STEPS.sheets.per) +
  weights.waste * Math.round(waste * STEPS.waste.per);

/** A ranking, split at the stagger: from there on the cost of a course depends on the course beside it. */
export interface SplitRanking {
  readonly ranking: Ranking;
  /** The parts that are ranked before the stagger: a course costs the same in them beside any other. */
  readonly alone: Ranking;
  /** Their weights. */
  readonly before: Weights;
  /** The cost of one butt that is too close to a butt of the next course. */
  readonly perStagger: number;
  readonly after: Weights;
}

/** The ranking of each aim, split at the stagger. */
export const SPLIT_RANKINGS: Readonly<Record<HangPlan['aim'], SplitRanking>> = {
  joints: splitAtStagger(RANKINGS.joints),
  boards: splitAtStagger(RANKINGS.boards),
  waste: splitAtStagger(RANKINGS.waste),
};

function splitAtStagger(ranking: Ranking): SplitRanking {
  const at = ranking.indexOf('stagger');
  const alone = ranking.slice(0, at);
  return {
    ranking,
    alone,
    before: weightsOf(alone),
    perStagger: weightsOf(ranking.slice(at)).stagger,
    after: weightsOf(ranking.slice(at + 1)),
  };
}

/** Negative when `a` is cheaper. */
export function compareCosts(a: RankedCost, b: RankedCost): number {
  for (let index = 0; index < a.length; index += 1) {
    const [one, other] = [a[index] ?? 0, b[index] ?? 0];
    if (Math.abs(one - other) > NOISE * (1 + Math.abs(one))) return one - other;
  }
  return 0;
}
