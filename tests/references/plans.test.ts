import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainInput } from '@/cli/planReport';
import { ASSUMED_AIR } from '@/core/air/air';
import { airClock } from '@/core/air/airClock';
import type { SourcedAir } from '@/core/air/roomAir';
import { CLASS_TRAITS } from '@/core/joints/classTraits';
import { takeOff, whatIsKept } from '@/core/joints/takeOff';
import type { Entry } from '@/core/log/entry';
import { stateOf } from '@/core/log/stateOf';
import { resolveMethod } from '@/core/method/resolveMethod';
import { roomCoats } from '@/core/method/roomCoats';
import { planHouse } from '@/core/plan/planHouse';
import { LEVELS } from '@/core/room/level';
import { planInputOf } from '@/core/schedule/planInputOf';
import { houseSnapshot } from '@/core/snapshot/houseSnapshot';
import { crewSchema } from '@/core/work/crew';
import { coatHours } from '@/core/work/tasksOf';
import { SKILLS } from '@/core/work/workItem';
import { WORK_NAMES } from '@/core/work/workName';
import { workOf } from '@/core/work/workOf';
import { UNTOUCHED } from '@/core/work/workRoom';
import { demoHouse } from '@/db/demo/demoHouse';
import { demoLog } from '@/db/demo/demoLog';
import { DEMO_PEOPLE } from '@/db/demo/demoPeople';
import type { DemoIds } from '@/db/demo/loadDemo';
import { houseOfRooms } from '../bench/rooms';
import { anyChoices } from '../houses/anyChoices';
import { roomOf } from '../houses/readRooms';
import { anyPlan, PLANNED_FROM } from '../plans/anyPlan';
import { faultsOf } from '../plans/faultsOf';

const EFFORT = { effort: 0 };
const seeds = (count: number, from = 1) => Array.from({ length: count }, (_, index) => from + index);

describe('plans of random houses in the middle of their work', () => {
  // A thousand of them.
  it.each(seeds(10, 0))('break no rule that another reading of them finds, hundred %i', (hundred) => {
    let run = 0;
    for (const seed of seeds(100, 1 + 100 * hundred)) {
      const { input, airs } = anyPlan(seed);
      const plan = planHouse(input, EFFORT);
      expect(faultsOf(plan, input, airs), `seed ${seed}`).toEqual([]);
      run += plan.assignments.length;
    }
    expect(run).toBeGreaterThan(1000);
  });

  it('are the same for the same seed, and keep what was handed out where it is', () => {
    for (const seed of seeds(30)) {
      const { input } = anyPlan(seed);
      expect(planHouse(input, EFFORT)).toEqual(planHouse(input, EFFORT));
    }
  });
});

describe('the work of a room by any school', () => {
  it('is handed out by a name that there is, and planned whole without a fault', () => {
    const { house, room } = roomOf("A 20' x 14' x 9', door 32x80 wall 1 bead, existing 4, window 36x48 wall 2 bead");
    const { tally } = takeOff(room, house);
    const base = plainInput(house, 3, PLANNED_FROM, 'UTC');
    const kinds = new Set<string>();
    fc.assert(
      fc.property(anyChoices(), fc.constantFrom(...LEVELS), (choices, level) => {
        const method = resolveMethod({ unit: 'in', method: { level, ...choices } });
        const items = workOf({ ...UNTOUCHED, id: room.id, tally, method, coats: roomCoats(tally, method) });
        expect(items.filter(({ work }) => !WORK_NAMES.has(work))).toEqual([]);
        for (const { kind } of items) kinds.add(kind);
        const input = { ...base, items };
        const plan = planHouse(input, EFFORT);
        expect(plan.leftOut).toEqual([]);
        expect(faultsOf(plan, input, [ASSUMED_AIR])).toEqual([]);
      }),
      { numRuns: 200 },
    );
    expect([...kinds].sort()).toEqual([
      'angle',
      'bead',
      'butt',
      'centring',
      'check',
      'fasteners',
      'flat',
      'prefill',
      'sand',
      'seal',
      'surface',
      'threeWay',
    ]);
  });
});

describe('what cannot be planned', () => {
  const { input } = anyPlan(5);
  it('without people is all left out, and the plan ends where it begins', () => {
    const plan = planHouse({ ...input, people: [], handed: {} }, EFFORT);
    expect(plan.assignments).toEqual([]);
    expect(plan.leftOut.length).toBe(input.items.length);
    expect(plan.finish).toBe(PLANNED_FROM);
  });

  it('with everybody away for a month begins after it', () => {
    const off = seeds(31, 0).map((day) => new Date(PLANNED_FROM + day * 86_400_000).toISOString().slice(0, 10));
    const people = input.people.map((person) => ({
      ...person,
      skills: [...SKILLS],
      learner: false,
      off,
    }));
    const plan = planHouse({ ...input, people, handed: {} }, EFFORT);
    expect(plan.leftOut).toEqual([]);
    expect(plan.start).toBeGreaterThan(PLANNED_FROM + 31 * 86_400_000 - 1);
  });

  it('in a house that is held whole is planned, and said to come last', () => {
    const rooms = input.rooms.map((room) => ({ ...room, held: { until: undefined } }));
    const plan = planHouse({ ...input, rooms }, EFFORT);
    expect(plan.last).toEqual(rooms.map(({ id }) => id));
    expect(plan.assignments.length + plan.leftOut.length).toBe(input.items.length);
  });

  it('where mud never dries is left out with the reason', () => {
    const airs = input.airs.map(() => [{ from: 0, air: { temperature: 10, humidity: 100 } }]);
    const plan = planHouse({ ...input, airs, handed: {} }, EFFORT);
    expect(plan.leftOut.some(({ why }) => why === 'never')).toBe(true);
    expect(Number.isFinite(plan.finish)).toBe(true);
  });
});

describe('plans of whole houses', () => {
  const MONDAY = Date.parse('2031-05-05T07:00:00Z');

  it.each([
    ['the demo', demoHouse(), 3],
    ['forty mixed rooms', houseOfRooms(40), 4],
    ['forty mixed rooms and a large crew', houseOfRooms(40), 12],
  ])('of %s end at most a twentieth over their bound', (_, house, people) => {
    const plan = planHouse(plainInput(house, people, MONDAY, 'UTC'), { effort: 20_000 });
    expect(plan.leftOut).toEqual([]);
    expect((plan.finish - plan.bound) / (plan.bound - plan.start)).toBeLessThan(0.05);
  });

  it('are the same in whatever order the log came', () => {
    const now = new Date('2031-05-06T16:34:00Z');
    const ids = Object.fromEntries(DEMO_PEOPLE.map(({ name }, index) => [name, `p${index}`])) as DemoIds;
    const house = demoHouse();
    const log = demoLog(house, ids, now, 'America/New_York').map(
      ({ by, entry }, index): Entry => ({ ...entry, seq: index + 1, by: ids[by], role: 'lead', recordedAt: entry.at }),
    );
    const taken = new Map(house.rooms.map((room) => [room, whatIsKept(takeOff(room, house))]));
    const air = airClock<SourcedAir>([{ from: 0, air: ASSUMED_AIR, source: { kind: 'assumed' }, readAt: 0 }]);
    const people = plainInput(house, 3, MONDAY, 'America/New_York').people.map((person, index) => ({
      ...person,
      id: `p${index + 1}`,
    }));
    const planOf = (entries: readonly Entry[]) => {
      const snapshot = houseSnapshot(
        house,
        house.rooms,
        stateOf(entries),
        () => air,
        now.getTime(),
        (room) => taken.get(room),
      );
      const ground = {
        house: 'h',
        people,
        crew: crewSchema.parse({}),
        timeZone: 'America/New_York',
        dates: { rooms: {} },
      };
      return planHouse(planInputOf(snapshot, ground, now.getTime()), EFFORT);
    };
    const plan = planOf(log);
    expect(plan.assignments.length).toBeGreaterThan(60);
    expect(plan.last).toEqual(['landing']);
    // A bubble is mended first, and holds up its room no longer than that takes.
    const of = (work: string) => plan.assignments.find(({ item }) => item === `day-room/${work}`);
    const [mend, fill] = [of('mend'), of('fill.flat')];
    expect(fill?.start).toBeGreaterThanOrEqual(mend?.end ?? Number.POSITIVE_INFINITY);
    expect(fill?.start).toBeLessThan(mend?.ready ?? 0);
    expect(planOf(log.toReversed())).toEqual(plan);
    expect(planOf([...log].sort((a, b) => a.id.localeCompare(b.id)))).toEqual(plan);
  });

  it('box the flats and backed butts of 500 boards in three to four hours by a pair', () => {
    // Common practice, no source. What is scraped before and the way from room to room is not part of it.
    const mixed = houseOfRooms(60);
    const house = { ...mixed, hang: { butts: 'backed' as const } };
    const method = resolveMethod({ unit: 'in', method: { level: 4, tools: 'boxes', order: 'boxes' } });
    let [boards, hours] = [0, 0];
    for (const room of house.rooms) {
      const { tally } = takeOff(room, house);
      boards += tally.boards.reduce((sum, { count }) => sum + count, 0);
      const run = roomCoats(tally, method).filter(
        (coat) => coat.key === 'finish' && CLASS_TRAITS[coat.class].run === 'flat',
      );
      hours += run.reduce((sum, coat) => sum + coatHours(coat, method), 0) / 2;
    }
    expect((hours * 500) / boards).toBeGreaterThan(3);
    expect((hours * 500) / boards).toBeLessThan(4);
  });
});
