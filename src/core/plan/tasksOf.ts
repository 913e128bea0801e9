import type { Tally } from '../joints/tally';
import { MM_PER_FOOT } from '../measure/unit';
import { COAT_KEYS, type Coat, type CoatedClass, type CoatKey } from '../method/coat';
import { coatedClassesOf, roundsOf } from '../method/roomCoats';
import { RATES_PER_HOUR, ROOM_HOURS, SKIM_FT2_PER_HOUR, SKIM_SAND_FT2_PER_HOUR } from './rates';

/** The passes through a room that are handed to people: a round of coats, or sanding. */
export const PASSES = [...COAT_KEYS, 'sand'] as const;
export type Pass = (typeof PASSES)[number];

/** One pass through one room. */
export interface Task {
  readonly pass: Pass;
  readonly coats: readonly Coat[];
  /** Person-hours by the default rates, walking in included. */
  readonly hours: number;
}

/** The passes of one room in order; a room without coats has none. */
export function tasksOf(tally: Tally, coats: readonly Coat[]): readonly Task[] {
  const rounds = roundsOf(coats).map((round) => roundTask(round, tally, coats));
  return rounds.length === 0
    ? []
    : [...rounds, { pass: 'sand', coats: [], hours: ROOM_HOURS + sandingHours(tally, coats) }];
}

function roundTask(round: CoatKey, tally: Tally, coats: readonly Coat[]): Task {
  const inRound = coats.filter((coat) => coat.round === round);
  return {
    pass: round,
    coats: inRound,
    hours: ROOM_HOURS + inRound.reduce((sum, coat) => sum + coatHours(coat, tally), 0),
  };
}

/** Person-hours that one coat of a room takes by the default rates. */
export function coatHours(coat: Coat, tally: Tally): number {
  if (coat.class === 'surface' || coat.key === 'skim') return squareFeet(tally) / SKIM_FT2_PER_HOUR;
  return amountOf(coat.class, tally) / RATES_PER_HOUR[coat.class][coat.key];
}

function sandingHours(tally: Tally, coats: readonly Coat[]): number {
  const skimmed = coats.some(({ key }) => key === 'skim');
  if (skimmed) return squareFeet(tally) / SKIM_SAND_FT2_PER_HOUR;
  return coatedClassesOf(tally).reduce(
    (sum, kind) => (kind === 'surface' ? sum : sum + amountOf(kind, tally) / RATES_PER_HOUR[kind].sand),
    0,
  );
}

const squareFeet = (tally: Tally): number => tally.boardArea / MM_PER_FOOT ** 2;

/** Feet of joint, or how many fasteners. */
const amountOf = (kind: Exclude<CoatedClass, 'surface'>, tally: Tally): number =>
  kind === 'fasteners' ? tally.fasteners : tally.classes[kind].length / MM_PER_FOOT;
