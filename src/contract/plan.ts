import type { PlanInput } from '../core/plan/planInput';
import type { Paces } from '../core/rates/learn';
import type { Crew } from '../core/work/crew';
import type { PaintersDates } from '../core/work/painters';

/** What `GET …/plan` tells the run sheet: all that a worker plans from, and what it may change. */
export interface PlanGroundAnswer {
  readonly input: PlanInput;
  /** How fast people are by what they logged, for a lead. */
  readonly paces: Paces;
  /** The last entry of the log of each house that it knows. */
  readonly seen: Readonly<Record<string, number>>;
  /** How many houses are planned together. */
  readonly houses: number;
  readonly crew: Crew;
  readonly crewVersion: number;
  readonly dates: PaintersDates;
}
