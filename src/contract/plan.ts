import type { HousePlan } from '../core/plan/planHouse';
import type { PlanInput } from '../core/plan/planInput';
import type { Paces } from '../core/rates/learn';
import type { Crew } from '../core/work/crew';
import type { PaintersDates } from '../core/work/painters';

/** The answer of `GET …/plan`: what the house is planned from, its plan, and what a page may change. */
export interface PlanGroundAnswer {
  readonly input: PlanInput;
  /** The plan of the house as it stands; undefined where the input is only what if. */
  readonly plan: HousePlan | undefined;
  /** How fast people are by what they logged, for a lead. */
  readonly paces: Paces;
  /** The last entry of the log of each house that it knows. */
  readonly seen: Readonly<Record<string, number>>;
  /** How many houses are planned together. */
  readonly houses: number;
  /** How many there are. */
  readonly allHouses: number;
  readonly crew: Crew;
  readonly crewVersion: number;
  readonly dates: PaintersDates;
}

/** The answer of `GET …/plan/mine`: hours of today's assigned work; null where there is no plan. */
export interface OwnHours {
  readonly hours: number | null;
}
