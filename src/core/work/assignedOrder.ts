/** When work was assigned, ms since 1970, and its number in the log. */
export type AssignedOrder = readonly [at: number, seq: number];

/** Work that is assigned for a day, YYYY-MM-DD. */
interface AssignedFor {
  readonly day: string;
  readonly order: AssignedOrder;
}

/** Compares work by the day for which it was assigned, then by what was assigned first. */
export const compareAssigned = (one: AssignedFor, other: AssignedFor): number =>
  one.day.localeCompare(other.day) || one.order[0] - other.order[0] || one.order[1] - other.order[1];
