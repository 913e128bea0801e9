import type { AirFrom } from '../air/airClock';
import type { AssignedOrder } from '../work/assignedOrder';
import type { Crew, Member } from '../work/crew';
import type { WorkItem } from '../work/workItem';

/** A room of a plan. Instants in ms since 1970. */
export interface PlanRoom {
  /** Its own, or where several houses are planned together with its house's before it. */
  readonly id: string;
  /** The house and the room as they are recorded. */
  readonly house: string;
  readonly room: string;
  /** Its own, or where several houses are planned together with its house's behind it. */
  readonly name: string;
  /** Its own in any case. */
  readonly nameInHouse: string;
  readonly houseName: string;
  readonly floor: string;
  /** Its air, by its place among the airs. */
  readonly air: number;
  /** How many jobs it has space for at once. */
  readonly space: number;
  /** When the painters come. */
  readonly due: number | undefined;
  /** It is held: until an instant, or nobody knows how long. */
  readonly held: { readonly until: number | undefined } | undefined;
  /** So many of its faces wait for the hanger: what lies on them is not planned. */
  readonly heldFaces?: number | undefined;
}

/** Somebody of the crew. */
export interface PlanPerson extends Member {
  readonly id: string;
  readonly name: string;
  /** By `WorkItem.rate`: how much faster than the usual rates, 1 where it does not say. */
  readonly pace: Readonly<Record<string, number>>;
}

/** What was handed out, by item. */
export interface Handed {
  readonly people: readonly string[];
  /** YYYY-MM-DD */
  readonly day: string;
  /** What was assigned first is done first; undefined for what is only moved. */
  readonly order?: AssignedOrder;
}

/** All that a plan is made from, as it is handed to a worker. */
export interface PlanInput {
  /** Nothing is planned before, ms since 1970. */
  readonly from: number;
  readonly timeZone: string;
  readonly rooms: readonly PlanRoom[];
  /** The air of rooms from now on. */
  readonly airs: readonly (readonly AirFrom[])[];
  readonly items: readonly WorkItem[];
  readonly people: readonly PlanPerson[];
  readonly crew: Pick<Crew, 'weekdays' | 'begins' | 'holidays' | 'tools' | 'leastVisit' | 'stay' | 'travel'>;
  readonly handed: Readonly<Record<string, Handed>>;
}
