import { groupBy } from '../measure/groupBy';

/** How long somebody took for something, beside what it takes by the usual rates. */
export interface Evidence {
  /** Who ran it; of two nobody knows who was quicker. */
  readonly people: readonly string[];
  /** What it was: the kind of work, the coat and the tool. */
  readonly rate: string;
  /** Person-hours. */
  readonly usual: number;
  readonly took: number;
  /** How much of one pass it is, 0–1, where a pass was of several kinds. */
  readonly weight: number;
}

/** How much faster than the usual rates, and how well that is known. */
export interface Pace {
  /** 1 is usual, 2 takes half of the time. */
  readonly pace: number;
  /** How many passes it rests on. */
  readonly passes: number;
  /** By what factor it may be wrong, one in three times. */
  readonly within: number;
}

/** Paces by person and by what it was. */
export type Paces = Readonly<Record<string, Readonly<Record<string, Pace>>>>;

/** The pace of a crew as a whole, by what it was. */
export type CrewPace = Readonly<Record<string, Pace>>;

/** The usual rates count as much as so many passes of the crew, the crew's as so many of one person's. */
const USUAL_PASSES = 3;
const CREW_PASSES = 3;
/** What differs by more than this factor from the others says nothing: a lunch in between, or hours for minutes. */
const FARTHEST = Math.log(2.6);
/** How much passes of one person differ among each other, as a logarithm. Common practice, no source. */
const SPREAD = 0.3;
const ROUNDS = 12;

/**
 * What passes say about how fast people are: each person's pace is pulled toward the crew's, and the crew's toward the usual
 * rates, the less is known of it. The order of passes does not matter, and some nonsense among them does not either.
 *
 * @example learn([]).tobin  // undefined: the usual rates
 */
export function learn(evidence: readonly Evidence[]): Paces {
  const paces: Record<string, Record<string, Pace>> = {};
  for (const [rate, all] of soundByRate(evidence)) {
    const crew = centre(all, 0, USUAL_PASSES);
    for (const person of new Set(all.flatMap(({ people }) => people))) {
      const own = all.filter(({ people }) => people.includes(person));
      const known = centre(own, crew.middle, CREW_PASSES);
      paces[person] ??= {};
      paces[person][rate] = paceOf(known, own.length, CREW_PASSES);
    }
  }
  return paces;
}

/**
 * What passes say about how fast a crew is, whoever ran them: pulled toward the usual rates the less is known.
 *
 * @example learnCrew([])['flat.fill.knife']  // undefined: the usual rate
 */
export const learnCrew = (evidence: readonly Evidence[]): CrewPace =>
  Object.fromEntries(
    [...soundByRate(evidence)].map(([rate, all]) => {
      return [rate, paceOf(centre(all, 0, USUAL_PASSES), all.length, USUAL_PASSES)] as const;
    }),
  );

const soundByRate = (evidence: readonly Evidence[]): ReadonlyMap<string, readonly Evidence[]> =>
  groupBy(
    evidence.filter(({ usual, took, weight }) => usual > 0 && took > 0 && weight > 0),
    ({ rate }) => rate,
  );

const paceOf = ({ middle, counted }: ReturnType<typeof centre>, passes: number, worth: number): Pace => ({
  pace: Math.exp(middle),
  passes,
  within: Math.exp(SPREAD / Math.sqrt(worth + counted)),
});

/** The logarithm of a pace from some passes, pulled toward a guess that counts as so many; and how many passes count. */
function centre(evidence: readonly Evidence[], guess: number, worth: number) {
  const seen = evidence.map(({ usual, took, weight, people }) => ({
    at: Math.log(usual / took),
    weight: weight / people.length,
  }));
  // From the middle of what was seen, so that what is far off has no say in what is far off.
  let middle = seen.length < 3 ? guess : median(seen.map(({ at }) => at));
  let counted = 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    let sum = 0;
    counted = 0;
    for (const { at, weight } of seen) {
      const far = (at - middle) / FARTHEST;
      const own = Math.abs(far) < 1 ? weight * (1 - far * far) ** 2 : 0;
      counted += own;
      sum += own * at;
    }
    if (counted === 0) break;
    middle = sum / counted;
  }
  return { middle: (guess * worth + middle * counted) / (worth + counted), counted };
}

/** The middle of two values or more. */
function median(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b);
  const half = sorted.length >> 1;
  const [low, high] = [sorted[half - 1] ?? 0, sorted[half] ?? 0];
  return sorted.length % 2 === 1 ? high : (low + high) / 2;
}
