import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyPlan } from '../../../tests/plans/anyPlan';
import { plainJob, plainProblem } from '../../../tests/plans/plainJob';
import { splitItems } from '../work/splitItems';
import { anyOf, calendarOf, common, endOfWork, NEVER, nextWhole, startOfWork, workedUntil } from './calendar';
import { lowerBound } from './lowerBound';
import { planAsBefore, planHouse } from './planHouse';
import type { Job, PlanProblem } from './problem';
import { schedule } from './schedule';
import { whatIfs } from './whatIf';

const DAYS = calendarOf([
  [0, 60],
  [100, 160],
  [200, 260],
]);

describe('a calendar', () => {
  it('lets work rest while nobody works', () => {
    expect(endOfWork(DAYS, 30, 45)).toBe(115);
    expect(endOfWork(DAYS, 70, 10)).toBe(110);
    expect(endOfWork(DAYS, 0, 180)).toBe(260);
    expect(endOfWork(DAYS, 0, 181)).toBe(NEVER);
  });

  it('begins what is to be run in one go where it fits', () => {
    expect(nextWhole(DAYS, 30, 30)).toBe(30);
    expect(nextWhole(DAYS, 31, 30)).toBe(100);
    // Longer than any day: it rests over night wherever it begins.
    expect(nextWhole(DAYS, 31, 61)).toBe(31);
  });

  it('of several people is whenever one of them works', () => {
    const others = [
      calendarOf([
        [50, 70],
        [160, 170],
      ]),
      calendarOf([
        [10, 20],
        [300, 310],
      ]),
      DAYS,
    ];
    const minutes = (own: ReturnType<typeof calendarOf>) =>
      [...own.starts].flatMap((start, index) =>
        Array.from({ length: (own.ends[index] ?? 0) - start }, (_, at) => start + at),
      );
    const any = anyOf([DAYS, ...others]);
    expect(minutes(any)).toEqual([...new Set([DAYS, ...others].flatMap(minutes))].sort((a, b) => a - b));
    // Stretches that touch are one.
    expect([...any.starts]).toEqual([0, 100, 200, 300]);
    expect(anyOf([DAYS, DAYS])).toBe(DAYS);
    expect(anyOf([]).ends).toHaveLength(0);
  });

  it('counts back as it counts on', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 255 }), fc.integer({ min: 1, max: 150 }), (from, minutes) => {
        const end = endOfWork(DAYS, from, minutes);
        if (end === NEVER) return;
        const start = startOfWork(DAYS, end, minutes);
        expect(endOfWork(DAYS, start, minutes)).toBe(end);
        expect(start).toBeGreaterThanOrEqual(from);
        expect(workedUntil(DAYS, end) - workedUntil(DAYS, from)).toBe(minutes);
      }),
    );
  });

  it('of a pair is when both are there', () => {
    const both = common([DAYS, calendarOf([[50, 120]])]);
    expect([...both.starts]).toEqual([50, 100]);
    expect([...both.ends]).toEqual([60, 120]);
  });
});

const problemOf = (jobs: readonly Job[], people: number): PlanProblem =>
  plainProblem(jobs, [Array.from({ length: people }, (_, person) => [person] as const)], Array(people).fill(1));

describe('a lower bound', () => {
  it('is the longest way of work and drying', () => {
    // By hand: an hour to 60, 45 of drying to 105, an hour from 105 to 160 and 5 minutes of the next day.
    const chain = [plainJob({}), plainJob({ after: [{ job: 0, wait: (end) => end + 45 }] })];
    const bound = lowerBound(problemOf(chain, 3));
    expect(bound).toEqual({ finish: 205, why: { kind: 'chain', jobs: [0, 1] } });
    expect(schedule(problemOf(chain, 3)).finish).toBe(205);
  });

  it('is the work of those who can do it where that takes longer', () => {
    // Three hours in three rooms for one person are three days; for three people one.
    const rooms = [0, 1, 2].map((room) => plainJob({ room, visit: room }));
    expect(lowerBound(problemOf(rooms, 1))).toMatchObject({
      finish: 260,
      why: { kind: 'work', minutes: 180, people: [0] },
    });
    expect(lowerBound(problemOf(rooms, 3)).finish).toBe(60);
    expect(schedule(problemOf(rooms, 2)).finish).toBe(160);
  });

  it('counts what still has to follow the work', () => {
    // Two hours of work, 40 minutes of drying behind each, then a minute each. By hand: one person ends the second at 160, both
    // are dry at 200 and done at 202, for 122 minutes of work are not to be had sooner; two people end both at 60, at 101.
    const wait = (end: number) => end + 40;
    const jobs = [0, 1].flatMap((room) => [
      plainJob({ room, visit: room }),
      plainJob({ room, visit: room, work: 1, after: [{ job: 2 * room, wait }] }),
    ]);
    expect(lowerBound(problemOf(jobs, 1)).finish).toBe(202);
    expect(lowerBound(problemOf(jobs, 2)).finish).toBe(101);
    expect(schedule(problemOf(jobs, 1)).finish).toBe(202);
  });

  it('of nothing is nothing', () => {
    expect(lowerBound(problemOf([], 1))).toEqual({ finish: 0, why: { kind: 'nothing' } });
    expect(schedule(problemOf([], 1)).finish).toBe(0);
  });
});

describe('what if', () => {
  it('never finishes later with Saturdays, one more person or a fan, and tells what each is about', () => {
    for (const seed of [3, 8, 21, 34]) {
      const { input } = anyPlan(seed);
      const plan = planHouse(input, { effort: 0 });
      if (plan.leftOut.length > 0 || plan.last.length > 0) continue;
      const found = [...whatIfs(input, plan)];
      expect(found.length).toBeGreaterThanOrEqual(3);
      for (const { kind, plan: other, about } of found) {
        if (kind !== 'setting') expect(other.finish, `${seed} ${kind}`).toBeLessThanOrEqual(plan.finish);
        if (kind === 'fan' || kind === 'heater') expect(input.rooms.map(({ name }) => name)).toContain(about);
      }
    }
  });
});

describe('a plan as it was', () => {
  it('is the same where nothing changed, and keeps what was moved where the lead put it', () => {
    const [found] = Array.from({ length: 40 }, (_, seed) => anyPlan(seed + 1).input)
      .map((own) => ({ ...own, handed: {}, rooms: own.rooms.map((room) => ({ ...room, held: undefined })) }))
      .filter(({ people }) => people.length > 2)
      .map((own) => ({ input: own, plan: planHouse(own, { effort: 0 }) }))
      .filter(({ plan: own }) => own.leftOut.length === 0);
    if (!found) throw new Error('one of forty houses is planned whole');
    const { input, plan } = found;
    const again = planAsBefore(input, plan);
    expect(again.assignments.map(({ item, start, people }) => [item, start, people])).toEqual(
      plan.assignments.map(({ item, start, people }) => [item, start, people]),
    );
    const [first] = plan.assignments;
    if (!first) throw new Error('there is work');
    const [person] = input.people.slice(-1);
    const day = '2031-11-05';
    const handed = { [first.item]: { people: [person?.id ?? ''], day } };
    const moved = planAsBefore({ ...input, handed }, plan).assignments.find(({ item }) => item === first.item);
    expect(moved?.people).toEqual([person?.id]);
    expect(new Date(moved?.start ?? 0).toISOString().slice(0, 10) >= day).toBe(true);
  });

  it('holds where an item is in two since: both halves stand where it stood', () => {
    let halved = 0;
    for (let seed = 1; seed <= 40; seed += 1) {
      const { input } = anyPlan(seed);
      const plan = planHouse(input, { effort: 0 });
      const whole = input.items.find(
        ({ id, room, hours, blocks }) =>
          blocks &&
          !plan.last.includes(room) &&
          !input.handed[id] &&
          Math.abs(blocks.walls.hours + blocks.ceiling.hours - hours) < 1e-9 &&
          plan.assignments.some(({ item }) => item === id),
      );
      if (!whole) continue;
      const again = planAsBefore({ ...input, items: splitItems(input.items, new Set([whole.id])) }, plan);
      const own = again.assignments.filter(({ item }) => item.startsWith(`${whole.id}@`));
      const before = plan.assignments.find(({ item }) => item === whole.id);
      halved += 1;
      expect(own, `${seed}`).toHaveLength(2);
      for (const { people, start } of own) {
        expect(people).toEqual(before?.people);
        expect(start).toBeGreaterThanOrEqual((before?.start ?? 0) - 60_000);
      }
      // Each half is laid in whole minutes, of two people perhaps.
      const hours = own.reduce((sum, one) => sum + one.hours, 0);
      expect(Math.abs(hours - (before?.hours ?? 0))).toBeLessThanOrEqual(4 / 60);
    }
    expect(halved).toBeGreaterThan(10);
  });
});
