import { plainInput } from '../../src/cli/planReport';
import type { House } from '../../src/core/house/schema';
import { type HousePlan, planAsBefore, planningHouse } from '../../src/core/plan/planHouse';
import type { PlanInput } from '../../src/core/plan/planInput';
import { demoHouse } from '../../src/db/demo/demoHouse';
import { houseOfRooms, median } from './rooms';

const MONDAY = Date.parse('2031-05-05T07:00:00Z');
const RUNS = 5;

/** ms until a plan is there, until the search has ended, and for what a drag would cost; and the gap to the bound. */
function planned(input: PlanInput) {
  const start = performance.now();
  let first: number | undefined;
  let plan: HousePlan | undefined;
  for (const found of planningHouse(input)) {
    first ??= performance.now() - start;
    plan = found;
  }
  const whole = performance.now() - start;
  if (!plan) throw new Error('there is a plan');
  const [item] = plan.assignments.slice(plan.assignments.length >> 1);
  const moved = { ...input, handed: { [item?.item ?? '']: { people: ['p1'], day: '2031-05-12' } } };
  const before = performance.now();
  planAsBefore(moved, plan);
  const drag = performance.now() - before;
  return { first: first ?? 0, whole, drag, gap: (plan.finish - plan.bound) / (plan.bound - plan.start) };
}

function report(name: string, house: House, people: number): void {
  const input = plainInput(house, people, MONDAY, 'UTC');
  planned(input);
  const runs = Array.from({ length: RUNS }, () => planned(input));
  const of = (pick: (run: (typeof runs)[number]) => number) => median(runs.map(pick));
  const ms = (value: number) => `${value.toFixed(0).padStart(5)} ms`;
  process.stdout.write(
    `  ${name.padEnd(26)} ${String(input.items.length).padStart(5)} items  first ${ms(of(({ first }) => first))}  whole ${ms(of(({ whole }) => whole))}  a drag ${ms(of(({ drag }) => drag))}  ${(100 * of(({ gap }) => gap)).toFixed(2)} % over the bound\n`,
  );
}

process.stdout.write('\nPlans\n');
report('the demo, 4 people', demoHouse(), 4);
report('40 mixed rooms, 4 people', houseOfRooms(40), 4);
report('40 mixed rooms, 12 people', houseOfRooms(40), 12);
report('80 mixed rooms, 6 people', houseOfRooms(80), 6);
