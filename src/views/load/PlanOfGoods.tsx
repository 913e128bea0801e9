'use client';

import { useMemo } from 'react';
import { usePlan } from '@/client/usePlan';
import { isTape, type Wares } from '@/core/materials/catalogue';
import { GOODS, type Good } from '@/core/materials/goods';
import { dayOf } from '@/core/measure/dayOf';
import type { LengthUnit } from '@/core/measure/unit';
import type { HousePlan } from '@/core/plan/planHouse';
import type { PlanInput } from '@/core/plan/planInput';
import { type Draw, runOut } from '@/core/stock/runOut';
import type { RoundBatches } from '@/core/supply/batchesFor';
import type { GoodsTaken } from '@/core/supply/goodsTaken';
import { workAnywhere } from '@/core/work/block';
import type { Crew } from '@/core/work/crew';
import { roughLength } from '@/words/lengthWords';
import { mudVolumeWords } from '@/words/mudWords';
import { dayAfter, dayWords, instantWords } from '@/words/when';
import { BatchPanel } from './BatchPanel';
import { GOOD_WORDS } from './stockRows';

interface Start {
  readonly at: number;
  readonly who: readonly string[];
}

/** By the plan: until when each good is enough and when it has to be ordered, and the batches in the order in which they are mixed. */
export function PlanOfGoods({
  version,
  goods,
  onHand,
  of,
  batches,
  names,
  unit,
}: {
  /** Of what the page shows. */
  readonly version: string;
  /** What each item of work takes. */
  readonly goods: Readonly<Record<string, GoodsTaken>>;
  readonly onHand: Readonly<Partial<Record<Good, number>>>;
  readonly of: Wares['of'];
  readonly batches: readonly RoundBatches[];
  /** Of rooms. */
  readonly names: Readonly<Record<string, string>>;
  readonly unit: LengthUnit;
}) {
  const { plan, input, failed } = usePlan(version);
  const draws = useMemo(() => (plan && input ? drawsOf(plan, input, goods, of) : undefined), [plan, input, goods, of]);
  const starts = useMemo(() => (plan && input ? startsOf(plan, input) : new Map<string, Start>()), [plan, input]);
  const startOf = ({ room, round }: RoundBatches) => starts.get(`${room} ${round}`);
  const begins = (batch: RoundBatches) => startOf(batch)?.at ?? Number.MAX_SAFE_INTEGER;
  return (
    <>
      <section className="sheet space-y-3 p-4 sm:p-5" aria-label="Enough until">
        <div>
          <h2>Enough until</h2>
          <p className="text-sm text-muted">
            By the plan of the Run sheet, with waste; ordered so early that it is there.
          </p>
        </div>
        {failed && (
          <p role="alert" className="text-error">
            {failed}
          </p>
        )}
        {!draws && !failed && <p className="text-muted">Planning…</p>}
        {draws?.length === 0 && input && (
          <p>
            {input.items.length === 0
              ? 'No work is left.'
              : plan?.assignments.length === 0
                ? 'No work is planned: nobody on the crew can do what is left. Add people on the Run sheet.'
                : 'The planned work uses no tape, mud or sealer.'}
          </p>
        )}
        {draws && draws.length > 0 && input && (
          <EnoughTable draws={draws} input={input} onHand={onHand} of={of} unit={unit} />
        )}
      </section>
      <BatchPanel
        batches={batches.toSorted((a, b) => begins(a) - begins(b))}
        nameOf={(room) => names[room] ?? 'a room'}
        whenOf={(batch) => {
          const start = startOf(batch);
          return start && input ? `${instantWords(start.at, input.timeZone)}, ${start.who.join(' and ')}` : undefined;
        }}
        bag={of.setting}
        unit={unit}
      />
    </>
  );
}

function EnoughTable({
  draws,
  input,
  onHand,
  of,
  unit,
}: {
  readonly draws: readonly Draw[];
  readonly input: PlanInput;
  readonly onHand: Readonly<Partial<Record<Good, number>>>;
  readonly of: Wares['of'];
  readonly unit: LengthUnit;
}) {
  const today = dayOf(input.from, input.timeZone);
  return (
    <div className="overflow-x-auto">
      <table className="table table-sm">
        <thead>
          <tr>
            <th scope="col">Goods</th>
            <th scope="col">Enough until</th>
            <th scope="col">Order by</th>
            <th scope="col" className="text-right">
              On hand
            </th>
            <th scope="col" className="text-right">
              The plan takes
            </th>
          </tr>
        </thead>
        <tbody>
          {GOODS.flatMap((good) => {
            const own = draws.filter((draw) => draw.good === good);
            if (own.length === 0) return [];
            const there = Math.max(0, onHand[good] ?? 0);
            const takes = own.reduce((sum, { amount }) => sum + amount, 0);
            const out = runOut(there, own);
            const order = out === undefined ? undefined : orderDay(out, of[good].leadDays, input.crew, input.timeZone);
            const isLate = order !== undefined && order < today;
            return (
              <tr key={good}>
                <th scope="row" className="font-semibold">
                  {GOOD_WORDS[good].name}
                </th>
                <td>{out === undefined ? 'the end' : instantWords(out, input.timeZone)}</td>
                <td className={isLate ? 'font-semibold text-warning' : ''}>
                  {order === undefined ? '' : isLate ? 'now: it comes late' : dayWords(order)}
                </td>
                <td className="text-right whitespace-nowrap">{takenWords(good, there, unit)}</td>
                <td className="text-right whitespace-nowrap">{takenWords(good, takes, unit)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

/** The last day on which somebody orders so that it is there in time: the crew's days are the shop's. */
function orderDay(
  out: number,
  leadDays: number,
  { weekdays, holidays }: Pick<Crew, 'weekdays' | 'holidays'>,
  timeZone: string,
): string {
  // A crew has a day in every week.
  for (let back = leadDays; back < leadDays + 60; back += 1) {
    const day = dayAfter(out, -back, timeZone);
    const weekday = new Date(`${day}T12:00:00Z`).getUTCDay() || 7;
    if (weekdays.includes(weekday) && !holidays.includes(day)) return day;
  }
  return dayAfter(out, -leadDays, timeZone);
}

const takenWords = (good: Good, amount: number, unit: LengthUnit): string =>
  isTape(good) ? roughLength(amount, unit) : amount > 0 ? mudVolumeWords(amount, unit) : 'none';

/** What the plan takes when: each item when it begins, a half of one half of it. */
function drawsOf(
  { assignments }: HousePlan,
  input: PlanInput,
  goods: Readonly<Record<string, GoodsTaken>>,
  of: Wares['of'],
): readonly Draw[] {
  const items = new Map(input.items.map((item) => [item.id, item]));
  const whole = new Map<string, number>();
  for (const { id, hours } of input.items) whole.set(workAnywhere(id), (whole.get(workAnywhere(id)) ?? 0) + hours);
  return assignments.flatMap(({ item: id, start }) => {
    const base = workAnywhere(id);
    const part = (items.get(id)?.hours ?? 0) / (whole.get(base) || 1);
    return (goods[base] ?? []).map(([good, amount]) => ({
      at: start,
      good,
      amount: amount * part * (1 + of[good].waste),
    }));
  });
}

/** When a round of a room begins, and with whom. */
function startsOf({ assignments }: HousePlan, input: PlanInput): ReadonlyMap<string, Start> {
  const items = new Map(input.items.map((item) => [item.id, item]));
  const people = new Map(input.people.map(({ id, name }) => [id, name]));
  const starts = new Map<string, Start>();
  for (const { item: id, start, people: own } of assignments) {
    const item = items.get(id);
    if (!item) continue;
    const key = `${item.room} ${item.pass}`;
    const known = starts.get(key);
    if (!known || start < known.at)
      starts.set(key, { at: start, who: own.map((one) => people.get(one) ?? 'somebody') });
  }
  return starts;
}
