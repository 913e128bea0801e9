import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainJob, plainProblem } from '../../../tests/plans/plainJob';
import { fairShares } from './fairShares';
import { lowerBound } from './lowerBound';
import { overfull } from './overfull';
import type { Job, PlanProblem, Team } from './problem';
import { schedule } from './schedule';

const job = (room: number, more: Partial<Job> = {}) => plainJob({ room, visit: room, ...more });
/** With space for two in each room. */
const problemOf = (...asked: Parameters<typeof plainProblem>): PlanProblem => ({
  ...plainProblem(...asked),
  space: asked[0].map(() => 2),
});
const rooms = (count: number, more: Partial<Job> = {}) => Array.from({ length: count }, (_, room) => job(room, more));

describe('the bound of a mixed crew', () => {
  it('gives a learner half of an hour, and only beside somebody', () => {
    // Six hours. One with a learner does 90 minutes of work a day: four days, to 360. A second learner has nobody to work beside.
    const teams: readonly Team[] = [[0], [0, 1], [0, 2]];
    expect(lowerBound(problemOf(rooms(6), [teams.slice(0, 2)], [1, 0.5])).finish).toBe(360);
    expect(lowerBound(problemOf(rooms(6), [teams], [1, 0.5, 0.5])).finish).toBe(360);
    // Alone it is six days.
    expect(lowerBound(problemOf(rooms(6), [[[0]]], [1])).finish).toBe(560);
  });

  it('counts in minutes of whoever is best at the work', () => {
    // Four hours; one is twice as fast as the other: 180 minutes of work a day, the rest is done on the second day.
    const { finish, why } = lowerBound(problemOf(rooms(4), [[[0], [1]]], [2, 1]));
    expect(finish).toBe(120);
    expect(why).toMatchObject({ kind: 'work', people: [0, 1], minutes: 120 });
  });

  it('joins groups: two kinds of work of which each has its people and one that is in both', () => {
    // Kind 0 by 0 or 1, kind 1 by 1 or 2, and 3 does something else. Eight hours for three people are not done in two days.
    const jobs = [...rooms(4), ...rooms(4, { by: 1 }), job(0, { by: 2 })];
    const teams: readonly (readonly Team[])[] = [[[0], [1]], [[1], [2]], [[3]]];
    const { finish, why } = lowerBound(problemOf(jobs, teams, [1, 1, 1, 1]));
    expect(finish).toBe(240);
    expect(why).toMatchObject({ kind: 'work', people: [0, 1, 2], minutes: 480 });
  });

  it('is that of a tool of which there is one, or of a room with space for one', () => {
    const everybody: readonly Team[] = [[0], [1], [2]];
    const withTool = { ...problemOf(rooms(3, { tool: 0 }), [everybody], [1, 1, 1]), tools: [1] };
    expect(lowerBound(withTool)).toMatchObject({ finish: 260, why: { kind: 'tool', tool: 0, minutes: 180 } });
    expect(lowerBound({ ...withTool, tools: [2] }).finish).toBe(130);
    expect(lowerBound({ ...withTool, tools: [3] }).finish).toBe(60);
    const inOne = { ...problemOf([job(0), job(0), job(0)], [everybody], [1, 1, 1]), space: [1] };
    expect(lowerBound(inOne)).toMatchObject({ finish: 260, why: { kind: 'room', room: 0 } });
    expect(schedule(inOne).finish).toBe(260);
    expect(schedule(withTool).finish).toBe(260);
  });
});

describe('what is overfull', () => {
  const sizes = fc.array(fc.record({ head: fc.nat(30), span: fc.nat(30), need: fc.integer({ min: 1, max: 9 }) }), {
    minLength: 1,
    maxLength: 9,
  });

  it('is found exactly where some jobs between two moments need more than there is', () => {
    fc.assert(
      fc.property(sizes, fc.integer({ min: 1, max: 3 }), (some, rate) => {
        const heads = Int32Array.from(some, ({ head }) => head);
        const latest = Float64Array.from(some, ({ head, span }) => head + span);
        const hasUntil = (at: number) => rate * at;
        const needOf = (one: number) => some[one]?.need ?? 0;
        const found = overfull(
          { what: { kind: 'work', people: [] }, jobs: [...some.keys()], needOf, hasUntil },
          heads,
          latest,
        );
        const isOver = some.some(({ head: from }) =>
          some.some(({ head, span }) => {
            const until = head + span;
            const within = some.filter((one) => one.head >= from && one.head + one.span <= until);
            return within.reduce((sum, { need }) => sum + need, 0) > Math.max(0, rate * (until - from)) + 1e-6;
          }),
        );
        expect(found !== undefined).toBe(isOver);
        if (!found) return;
        const from = Math.min(...found.jobs.map((one) => heads[one] ?? 0));
        const until = Math.max(...found.jobs.map((one) => latest[one] ?? 0));
        expect(found.minutes).toBe(found.jobs.reduce((sum, one) => sum + needOf(one), 0));
        expect(found.minutes).toBeGreaterThan(rate * (until - from));
      }),
      { numRuns: 2000, seed: 3 },
    );
  });
});

describe('fair shares', () => {
  it('leave what others can do to them', () => {
    // Kind 0 by both, kind 1 by the second alone: two hours each, so the first does all of kind 0.
    const jobs = [...rooms(2), ...rooms(2, { by: 1 })];
    const shares = fairShares(problemOf(jobs, [[[0], [1]], [[1]]], [1, 1]));
    expect(shares?.map((own) => [...own].map(Math.round))).toEqual([
      [120, 0],
      [0, 120],
    ]);
  });

  it('hand on along several people', () => {
    // Each can do two kinds, the last one only one of them; all have an hour.
    const jobs = [job(0), job(1, { by: 1 }), job(2, { by: 2 })];
    const teams: readonly (readonly Team[])[] = [[[0], [1]], [[1], [2]], [[2]]];
    const shares = fairShares(problemOf(jobs, teams, [1, 1, 1]));
    expect(shares?.map((own) => [...own].map(Math.round))).toEqual([
      [60, 0, 0],
      [0, 60, 0],
      [0, 0, 60],
    ]);
  });

  it('are nobody’s business where everybody can do everything', () => {
    expect(fairShares(problemOf(rooms(3), [[[0], [1]]], [1, 1]))).toBeUndefined();
  });
});
