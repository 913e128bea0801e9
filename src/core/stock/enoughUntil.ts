import type { Wares } from '../materials/catalogue';
import { GOODS, type Good } from '../materials/goods';
import { dayAfter } from '../measure/dayOf';
import type { Planned } from '../plan/housePart';
import type { PlanInput } from '../plan/planInput';
import type { GoodsTaken } from '../supply/goodsTaken';
import { workAnywhere } from '../work/block';
import type { Pass } from '../work/pass';
import { type Draw, runOut } from './runOut';

/** How long a good lasts. Amounts in litres, of tape in mm; instants in ms since 1970. */
export interface EnoughUntil {
  readonly good: Good;
  readonly onHand: number;
  /** Amount that the plan needs, with waste. */
  readonly takes: number;
  /** When it is used up; undefined if there is enough. */
  readonly out?: number | undefined;
  /** Last day to order it in time, YYYY-MM-DD. */
  readonly orderBy?: string | undefined;
}

/**
 * Returns how long each good lasts and when to order it.
 *
 * @param goods needed by each item of open work, without waste
 * @param onHand amount of each good in stock
 */
export function enoughUntil(
  planned: Planned,
  goods: ReadonlyMap<string, GoodsTaken>,
  onHand: Readonly<Partial<Record<Good, number>>>,
  of: Wares['of'],
): readonly EnoughUntil[] {
  const draws = drawsOf(planned, goods, of);
  const { crew, timeZone } = planned.input;
  return GOODS.flatMap((good) => {
    const own = draws.filter((draw) => draw.good === good);
    if (own.length === 0) return [];
    const there = Math.max(0, onHand[good] ?? 0);
    const out = runOut(there, own);
    return [
      {
        good,
        onHand: there,
        takes: own.reduce((sum, { amount }) => sum + amount, 0),
        out,
        orderBy: out === undefined ? undefined : orderDay(out, of[good].leadDays, crew, timeZone),
      },
    ];
  });
}

/** So many days before a good is used up are looked at: longer than any holiday. */
const MOST_DAYS = 60;

/** Returns the last day on which somebody orders so that it is there in time: the crew's days are the shop's. */
function orderDay(
  out: number,
  leadDays: number,
  { weekdays, holidays }: Pick<PlanInput['crew'], 'weekdays' | 'holidays'>,
  timeZone: string,
): string {
  for (let back = leadDays; back < leadDays + MOST_DAYS; back += 1) {
    const day = dayAfter(out, -back, timeZone);
    const weekday = new Date(`${day}T12:00:00Z`).getUTCDay() || 7;
    if (weekdays.includes(weekday) && !holidays.includes(day)) return day;
  }
  return dayAfter(out, -leadDays, timeZone);
}

/** Returns what the plan takes when: each item when it begins, a half of one half of it. */
function drawsOf({ plan, input }: Planned, goods: ReadonlyMap<string, GoodsTaken>, of: Wares['of']): readonly Draw[] {
  const items = new Map(input.items.map((item) => [item.id, item]));
  const whole = new Map<string, number>();
  for (const { id, hours } of input.items) whole.set(workAnywhere(id), (whole.get(workAnywhere(id)) ?? 0) + hours);
  return plan.assignments.flatMap(({ item: id, start }) => {
    const base = workAnywhere(id);
    const part = (items.get(id)?.hours ?? 0) / (whole.get(base) || 1);
    return (goods.get(base) ?? []).map(([good, amount]) => ({
      at: start,
      good,
      amount: amount * part * (1 + of[good].waste),
    }));
  });
}

/** When a round of a room begins, ms since 1970, and with whom, by name. */
export interface RoundStart {
  readonly room: string;
  readonly round: Pass;
  readonly at: number;
  readonly who: readonly string[];
}

/** Returns when each round of each room begins by a plan, the first one first. */
export function roundStarts({ plan, input }: Planned): readonly RoundStart[] {
  const items = new Map(input.items.map((item) => [item.id, item]));
  const names = new Map(input.people.map(({ id, name }) => [id, name]));
  const starts = new Map<string, RoundStart>();
  for (const { item: id, start: at, people } of plan.assignments) {
    const item = items.get(id);
    const key = item && `${item.room} ${item.pass}`;
    if (!key || (starts.get(key)?.at ?? Number.POSITIVE_INFINITY) <= at) continue;
    starts.set(key, { room: item.room, round: item.pass, at, who: people.map((one) => names.get(one) ?? 'somebody') });
  }
  return [...starts.values()].sort((a, b) => a.at - b.at);
}
