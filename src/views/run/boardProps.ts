import type { PlanPerson } from '@/core/plan/planInput';
import type { Drying } from './dryingOf';
import type { PlanCard } from './planCards';

/** What both boards show. */
export interface BoardProps {
  readonly cards: readonly PlanCard[];
  /** Of the coats that are run on a day so many are ready when the next day of the plan begins. */
  readonly drying: ReadonlyMap<string, Drying>;
  readonly people: readonly PlanPerson[];
  readonly days: readonly string[];
  readonly now: number;
  readonly timeZone: string;
  readonly ways: Readonly<Record<string, string>>;
  readonly done: Readonly<Record<string, readonly string[]>>;
  /** Names the other houses in which somebody works on a day, by `PERSON DAY`. */
  readonly elsewhere: ReadonlyMap<string, string>;
  /** Hours of work that are shown, mixing and cleaning included, by `PERSON DAY`. */
  readonly hours: ReadonlyMap<string, number>;
  readonly mayHand: boolean;
  /** The keys of cards that are chosen. */
  readonly chosen: ReadonlySet<string>;
  readonly toggle: (key: string) => void;
  readonly open: (key: string) => void;
  /** Somebody is ill today, or back again. */
  readonly ill: (person: PlanPerson) => void;
  readonly back: (person: PlanPerson) => void;
  readonly showDay: (day: string | undefined) => void;
}
