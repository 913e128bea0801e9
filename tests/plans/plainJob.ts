import { calendarOf } from '@/core/plan/calendar';
import type { Job, PlanProblem, Team } from '@/core/plan/problem';

/** Days of an hour, with 40 minutes between them. */
export const HOUR_DAYS = calendarOf(Array.from({ length: 40 }, (_, day) => [day * 100, day * 100 + 60] as const));

/** Returns an hour of work that waits for nothing, in one room. */
export const plainJob = (more: Partial<Job> = {}): Job => ({
  room: 0,
  house: 0,
  visit: 0,
  pass: 0,
  by: 0,
  work: 60,
  rate: 0,
  from: 0,
  after: [],
  run: undefined,
  firm: 0,
  tool: undefined,
  due: undefined,
  pinned: undefined,
  ...more,
});

/** Returns a problem of people who work by `HOUR_DAYS`, one for each pace, in rooms with space for one. */
export const plainProblem = (
  jobs: readonly Job[],
  teams: readonly (readonly Team[])[],
  paces: readonly number[],
): PlanProblem => ({
  jobs,
  teams,
  people: paces.map((pace) => ({ calendar: HOUR_DAYS, pace: [pace] })),
  tools: [],
  space: jobs.map(() => 1),
  travel: 0,
  stay: 0,
  whole: 0,
  least: 0,
});
