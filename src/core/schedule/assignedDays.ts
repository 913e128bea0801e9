import { learn, type Paces } from '../rates/learn';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { type DayList, dayListOf, type HandedPass, hoursOfPass } from '../work/dayListOf';
import { handedPasses, hoursDone } from './assignedWork';
import { evidenceIn } from './paceEvidence';

/** What everybody has to do, at the pace that each is known for. */
export interface AssignedDays {
  /** Everything that is assigned, in the order of the house. */
  readonly handed: readonly HandedPass<RoomSnapshot>[];
  readonly paces: Paces;
  /** Returns what a person has on a day (YYYY-MM-DD), and what is left of it. */
  dayOf(person: string, day: string): DayList<RoomSnapshot>;
  /** Returns the hours that a person has of a job; of one that is left from an earlier day those that are left. */
  hoursOf(handed: HandedPass<RoomSnapshot>, person: string): number;
}

/** A person's open jobs today in one house. */
export interface HouseToday {
  readonly id: string;
  readonly name: string;
  readonly passes: readonly HandedPass<RoomSnapshot>[];
}

/**
 * Returns the days of everybody in a house: what House, My day, the printed lists and the calendar say of them.
 *
 * @param rooms what the house knows; from what was logged in it people's paces are learned
 * @param today YYYY-MM-DD: what is left from earlier days is on its list
 */
export function assignedDays(rooms: readonly RoomSnapshot[], today: string): AssignedDays {
  const handed = handedPasses(rooms, today);
  const paces = learn(evidenceIn(rooms));
  const paceOf = (person: string) => (rate: string) => paces[person]?.[rate]?.pace ?? 1;
  return {
    handed,
    paces,
    dayOf: (person, day) => dayListOf(handed, person, day, paceOf(person), hoursDone),
    hoursOf: (pass, person) => hoursOfPass(pass, paceOf(person)) * (pass.leftFrom ? 1 - hoursDone(pass) : 1),
  };
}
