import { describe, expect, it } from 'vitest';
import { anyPlan } from '../../../tests/plans/anyPlan';
import { randomFrom } from './improve';
import { Placing, placeAll, type Sequence, TeamCalendars } from './place';
import { type PlanProblem, teamsFor } from './problem';
import { followersOf } from './tails';
import { toProblem } from './toProblem';
import { worthOf } from './worth';

/** Any order in which no job comes before what it waits for, each job with anybody who is able, after a beginning that is given. */
function anySequence(problem: PlanProblem, random: () => number, begin: Sequence, kept: number): Sequence {
  const followers = followersOf(problem);
  const open = problem.jobs.map(({ after }) => after.length);
  const order: number[] = [];
  const stays = new Set(begin.order.slice(0, kept));
  const teams = problem.jobs.map((job, index) => {
    const able = teamsFor(job, problem);
    return stays.has(index) ? begin.teams[index] : able[Math.floor(random() * able.length)];
  });
  const ready = new Set(open.flatMap((left, index) => (left === 0 ? [index] : [])));
  while (order.length < problem.jobs.length) {
    const drawn = [...ready][Math.floor(random() * ready.size)] ?? 0;
    const next = order.length < kept ? (begin.order[order.length] ?? drawn) : drawn;
    ready.delete(next);
    order.push(next);
    for (const follower of followers[next] ?? []) {
      open[follower] = (open[follower] ?? 0) - 1;
      if (open[follower] === 0) ready.add(follower);
    }
  }
  return { order: Int32Array.from(order), teams };
}

const ANYTHING = { unrun: Number.POSITIVE_INFINITY, late: 0, finish: 0 };

describe('placing a sequence like one that begins alike', () => {
  const cases = Array.from({ length: 60 }, (_, seed) => {
    const { input } = anyPlan(seed + 1);
    const { problem } = toProblem(input, input.items, input.from);
    const random = randomFrom(seed);
    const nothing = { order: new Int32Array(0), teams: [] };
    const first = anySequence(problem, random, nothing, 0);
    return { problem, first, differs: Math.floor(random() * problem.jobs.length), random };
  }).filter(({ problem }) => problem.jobs.length > 1);

  it('gives the times of placing it whole, again and again', () => {
    expect(cases.length).toBeGreaterThan(40);
    for (const { problem, first, random } of cases) {
      const calendars = new TeamCalendars(problem.people);
      let [stands, other] = [new Placing(problem, calendars), new Placing(problem, calendars)];
      placeAll(first, stands);
      let before = first;
      for (let round = 0; round < 6; round += 1) {
        const kept = Math.floor(random() * problem.jobs.length);
        const next = anySequence(problem, random, before, kept);
        expect(other.placeLike(stands, next, kept, ANYTHING)).toBe(true);
        expect(other.times).toEqual(placeAll(next, new Placing(problem, calendars)));
        [stands, other] = [other, stands];
        before = next;
      }
    }
  });

  it('is left where it is worse than it may be, and only there', () => {
    let left = 0;
    for (const { problem, first, differs, random } of cases) {
      const calendars = new TeamCalendars(problem.people);
      const [stands, other] = [new Placing(problem, calendars), new Placing(problem, calendars)];
      const limitOf = (sequence: Sequence) => {
        const [unrun = 0, late = 0, finish = 0] = worthOf(problem, sequence, placeAll(sequence, stands));
        return { unrun, late, finish };
      };
      const next = anySequence(problem, random, first, differs);
      const own = limitOf(next);
      const limit = limitOf(first);
      const isWorse = (own.unrun - limit.unrun || own.late - limit.late || own.finish - limit.finish) > 0;
      expect(other.placeLike(stands, next, differs, limit)).toBe(!isWorse);
      expect(other.placeLike(stands, next, differs, own)).toBe(true);
      if (isWorse) left += 1;
    }
    expect(left).toBeGreaterThan(5);
    expect(left).toBeLessThan(cases.length);
  });
});
