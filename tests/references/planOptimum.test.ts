import { describe, expect, it } from 'vitest';
import { calendarOf } from '@/core/plan/calendar';
import { randomFrom } from '@/core/plan/improve';
import type { Job, PlanProblem, Team } from '@/core/plan/problem';
import { schedule } from '@/core/plan/schedule';
import { type Optima, optimaOf } from './optima';

// The soonest finish of small houses, found by another way: for every job one binary variable for each team and each minute
// at which it could begin, solved by HiGHS as an integer program. Written apart from the planner: neither its calendars, nor
// its bound, nor its way of placing jobs are used.

type Stretches = readonly (readonly [number, number])[];

/** Days of eight minutes with a night of twelve after each. */
const DAYS: Stretches = [0, 20, 40, 60, 80].map((start) => [start, start + 8]);

interface Small {
  readonly problem: PlanProblem;
  readonly shifts: readonly Stretches[];
}

/** Two or three rooms of a few jobs for two people, with drying that takes longer by night, few tools and little space. */
function anySmall(seed: number): Small {
  const random = randomFrom(seed);
  const upTo = (most: number) => Math.floor(random() * (most + 1));
  const shifts = [0, 1].map(() => DAYS.filter(() => random() > 0.12));
  const teams: readonly (readonly Team[])[] = [
    [[0], [1]],
    [[upTo(1)]],
    [
      [0, 1],
      [1, 0],
    ],
  ];
  const rooms = 2 + upTo(1);
  const jobs: Job[] = [];
  for (let room = 0; room < rooms; room += 1) {
    const first = jobs.length;
    for (let place = 0; place <= 1 + upTo(1); place += 1) {
      const dries = upTo(14);
      const byNight = [1, 0.5][upTo(1)] ?? 1;
      const before = place === 0 || random() < 0.2 ? [] : [first + upTo(place - 1)];
      jobs.push({
        room,
        house: 0,
        visit: jobs.length,
        pass: 0,
        by: [0, 0, 1, 2][upTo(3)] ?? 0,
        work: 1 + upTo(3),
        rate: 0,
        from: random() < 0.2 ? upTo(12) : 0,
        after: before.map((job) => ({ job, wait: (end) => driedAt(end, dries, byNight) })),
        run: ([undefined, 0, 1, 2] as const)[upTo(3)],
        firm: upTo(3),
        tool: random() < 0.3 ? 0 : undefined,
        due: undefined,
        pinned: undefined,
      });
    }
  }
  const problem: PlanProblem = {
    jobs,
    people: shifts.map((own) => ({ calendar: calendarOf(own), pace: [1] })),
    teams,
    tools: [1],
    space: Array.from({ length: rooms }, () => 1 + upTo(1)),
    travel: 0,
    stay: 0,
    whole: 0,
    least: 0,
  };
  return { problem, shifts };
}

/** By night it dries at another rate than by day. */
function driedAt(end: number, dries: number, byNight: number): number {
  let at = end;
  for (let left = dries; left > 0; at += 1) left -= at % 20 < 8 ? 1 : byNight;
  return at;
}

interface Choice {
  readonly name: string;
  readonly job: number;
  readonly team: Team;
  readonly start: number;
  readonly end: number;
}

/** Every way in which each job could be run within a horizon. */
function choicesOf({ problem: { jobs, teams }, shifts }: Small, horizon: number): readonly Choice[] {
  const works = (team: Team, at: number) =>
    team.every((person) => shifts[person]?.some(([start, end]) => start <= at && at < end));
  return jobs.flatMap((job, index) =>
    (teams[job.by] ?? []).flatMap((team, which) => {
      const out: Choice[] = [];
      for (let start = job.from; start < horizon; start += 1) {
        if (!works(team, start)) continue;
        let left = Math.ceil(job.work / team.length);
        let end = start;
        for (; left > 0 && end < horizon; end += 1) left -= works(team, end) ? 1 : 0;
        if (left === 0) out.push({ name: `x${index}_${which}_${start}`, job: index, team, start, end });
      }
      return out;
    }),
  );
}

/** The soonest finish, at most `horizon`; undefined where there is none. */
function optimum(small: Small, horizon: number, optima: Optima): number | undefined {
  const { jobs, tools, space } = small.problem;
  const choices = choicesOf(small, horizon);
  const of = jobs.map((_, index) => choices.filter(({ job }) => job === index));
  const rows: string[] = [];
  const sum = (some: readonly Choice[]) => some.map(({ name }) => name).join(' + ');
  const atMost = (some: readonly Choice[], count: number) => {
    if (some.length > count) rows.push(`${sum(some)} <= ${count}`);
  };
  for (const own of of) {
    if (own.length === 0) return undefined;
    rows.push(`${sum(own)} = 1`);
    rows.push(`finish ${own.map(({ name, end }) => `- ${end} ${name}`).join(' ')} >= 0`);
  }
  for (const choice of choices) {
    const job = jobs[choice.job];
    for (const [index, other] of jobs.entries()) {
      const wait = other.after.find((one) => one.job === choice.job)?.wait;
      if (wait) atMost([choice, ...(of[index] ?? []).filter(({ start }) => start < wait(choice.end))], 1);
      if (index === choice.job || other.room !== job?.room || other.run === undefined || job.run === undefined)
        continue;
      // Whichever comes second waits until the first is firm.
      if (job.run !== other.run)
        atMost(
          [
            choice,
            ...(of[index] ?? []).filter(({ start, end }) => start < choice.end + job.firm && end > choice.start),
          ],
          1,
        );
    }
  }
  for (let at = 0; at < horizon; at += 1) {
    const now = choices.filter(({ start, end }) => start <= at && at < end);
    for (const person of [0, 1])
      atMost(
        now.filter(({ team }) => team.includes(person)),
        1,
      );
    for (const [tool, count] of tools.entries())
      atMost(
        now.filter(({ job }) => jobs[job]?.tool === tool),
        count,
      );
    for (const [room, count] of space.entries())
      atMost(
        now.filter(({ job }) => jobs[job]?.room === room),
        count,
      );
  }
  const text = [
    'Minimize',
    ' obj: finish',
    'Subject To',
    ...rows.map((row, index) => ` c${index}: ${row}`),
    'Bounds',
    ` 0 <= finish <= ${horizon}`,
    'Binary',
    ` ${choices.map(({ name }) => name).join(' ')}`,
    'End',
  ].join('\n');
  const least = optima.least(text);
  return least === undefined ? undefined : Math.round(least);
}

describe('a plan of a small house', () => {
  const SEEDS = Array.from({ length: 212 }, (_, index) => index + 1);

  it('is never sooner than the optimum, its bound never later, and mostly it is the optimum', async () => {
    const optima = await optimaOf('plan');
    let [solved, best, gaps, boundGaps] = [0, 0, 0, 0];
    for (const seed of SEEDS) {
      const small = anySmall(seed);
      const plan = schedule(small.problem, { effort: 4000 });
      const { ends } = plan.times;
      if (ends.some((end) => end > 200)) continue;
      const soonest = optimum(small, plan.finish, optima);
      // The plan itself is one of the ways.
      expect(soonest, `seed ${seed}`).toBeDefined();
      if (soonest === undefined) continue;
      expect(plan.finish, `seed ${seed}`).toBeGreaterThanOrEqual(soonest);
      expect(plan.bound.finish, `seed ${seed}: the bound`).toBeLessThanOrEqual(soonest);
      solved += 1;
      best += plan.finish === soonest ? 1 : 0;
      gaps += (plan.finish - soonest) / soonest;
      boundGaps += (soonest - plan.bound.finish) / soonest;
    }
    optima.keep();
    const report = `${solved} houses: ${best} at the optimum, on average ${((gaps / solved) * 100).toFixed(2)} % above it; the bound ${((boundGaps / solved) * 100).toFixed(1)} % below it`;
    process.stdout.write(`    plans beside HiGHS, ${report}\n`);
    expect(solved).toBeGreaterThanOrEqual(200);
    expect(best / solved, report).toBeGreaterThan(0.9);
  });
});
