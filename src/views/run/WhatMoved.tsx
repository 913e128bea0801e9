import { dayOf } from '@/core/measure/dayOf';
import { groupBy } from '@/core/measure/groupBy';
import type { Assignment, HousePlan } from '@/core/plan/planHouse';
import type { PlanInput } from '@/core/plan/planInput';
import { dayWords } from '@/words/when';
import { cardWords, whoWords, whyOf } from './planWords';

/** What a new plan runs on another day or by other people than the one before, and why there. */
export function WhatMoved({
  before,
  plan,
  input,
}: {
  readonly before: HousePlan;
  readonly plan: HousePlan;
  readonly input: PlanInput;
}) {
  const rows = movedRows(before, plan, input);
  if (rows.length === 0) return null;
  return (
    <details className="sheet p-4">
      <summary>
        <strong>The new plan moved {rows.length}</strong> {rows.length === 1 ? 'round' : 'rounds'}
      </summary>
      <ul className="mt-2 space-y-1 text-sm">
        {rows.map(({ key, words, why }) => (
          <li key={key}>
            {words}. <span className="text-muted">{why}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}

function movedRows(before: HousePlan, plan: HousePlan, input: PlanInput) {
  const known = new Map(before.assignments.map((one) => [one.item, one]));
  const items = new Map(input.items.map((item) => [item.id, item]));
  const place = ({ people, start }: Assignment) =>
    `${whoWords(people, input)}, ${dayWords(dayOf(start, input.timeZone))}`;
  const moved = plan.assignments.flatMap((now) => {
    const then = known.get(now.item);
    const item = items.get(now.item);
    return item && then && place(then) !== place(now) ? [{ now, then, item }] : [];
  });
  const rounds = groupBy(moved, ({ now, then, item }) => [item.room, item.pass, place(then), place(now)].join(' '));
  return [...rounds].flatMap(([key, own]) => {
    const [first] = own;
    if (!first) return [];
    const room = input.rooms.find(({ id }) => id === first.item.room)?.name ?? '';
    const what = cardWords({ items: own.map(({ item }) => item) });
    const words = `${room}, ${what}: from ${place(first.then)} to ${place(first.now)}`;
    return [{ key, words, why: whyOf(first.now, input, first.item) }];
  });
}
