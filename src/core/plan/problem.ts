import type { Calendar } from './calendar';

/**
 * When something may begin after something else has ended, in minutes from the origin of a plan. Never sooner for a later
 * end.
 */
export type Wait = (end: number) => number;

/** A job that comes before another one. */
export interface Before {
  /** By its place among the jobs. */
  readonly job: number;
  readonly wait: Wait;
}

/** Something that is done in one go by one person or a pair. Times in whole minutes from the origin. */
export interface Job {
  /** The room by its place among the rooms. */
  readonly room: number;
  /** By its place among the houses. */
  readonly house: number;
  /** The round through its room, which one person best runs alone; by its place among all rounds. */
  readonly visit: number;
  /** The round itself, by its place among the rounds of all rooms. */
  readonly pass: number;
  /** Who may run it; see `teams`. */
  readonly by: number;
  /** Minutes of one person at the usual rate. */
  readonly work: number;
  /** At what somebody is faster or slower than usual. */
  readonly rate: number;
  readonly from: number;
  readonly after: readonly Before[];
  /** What may lie across each other in a room: jobs with different numbers; undefined for what crosses nothing. */
  readonly run: number | undefined;
  /** Minutes until what crosses it may be run. */
  readonly firm: number;
  /** By its place among the tools. */
  readonly tool: number | undefined;
  /** When the painters come to its room. */
  readonly due: number | undefined;
  /** What is assigned stays with these people, is not begun before its day, and is done in the order in which it was assigned. */
  readonly pinned: { readonly team: Team; readonly from: number; readonly rank: number } | undefined;
}

/** One person, or two of whom the first runs and the second wipes or learns; by their places among the people. */
export type Team = readonly [number] | readonly [number, number];

export interface Worker {
  readonly calendar: Calendar;
  /** By `Job.rate`: 1 is usual, 2 takes half of the time. */
  readonly pace: readonly number[];
}

/** Everything that a plan is made of. */
export interface PlanProblem {
  readonly jobs: readonly Job[];
  readonly people: readonly Worker[];
  /** By `Job.by`: who may run a job, alone or as a pair. */
  readonly teams: readonly (readonly Team[])[];
  /** How many of each tool there are. */
  readonly tools: readonly number[];
  /** How many jobs each room has space for at once. */
  readonly space: readonly number[];
  /** Minutes from one house to another, and how long somebody who came to one stays there at least that day. */
  readonly travel: number;
  readonly stay: number;
  /** What takes no longer is not begun in the evening to be ended in the morning; minutes. */
  readonly whole: number;
  /** What goes on the next day is begun so many minutes before the evening at least. */
  readonly least: number;
}

/** Whole minutes that a job takes some people. */
export function minutesOf({ work, rate }: Pick<Job, 'work' | 'rate'>, team: Team, people: readonly Worker[]): number {
  const pace = team.reduce((sum, person) => sum + (people[person]?.pace[rate] ?? 1), 0);
  return Math.max(1, Math.ceil(work / pace - 1e-9));
}

/** Who may run a job: those to whom it was handed, else all who are able. */
export const teamsFor = ({ pinned, by }: Job, { teams }: Pick<PlanProblem, 'teams'>): readonly Team[] =>
  pinned ? [pinned.team] : (teams[by] ?? []);
