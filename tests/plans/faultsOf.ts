import type { Air } from '@/core/air/air';
import { coatTimes } from '@/core/drying/coatTimes';
import type { HousePlan } from '@/core/plan/planHouse';
import type { PlanInput } from '@/core/plan/planInput';
import type { WorkItem } from '@/core/work/workItem';

const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;
const DAY_MS = 24 * HOUR_MS;

/**
 * What is wrong with a plan, in words; nothing is right. Written apart from the planner: it counts shifts by the clock on the
 * wall, drying by the hours of air that does not change, and people, tools and rooms by what overlaps.
 *
 * @param airs of the rooms, which do not change
 */
export function faultsOf(plan: HousePlan, input: PlanInput, airs: readonly Air[]): readonly string[] {
  const faults: string[] = [];
  const check = (holds: boolean, fault: string) => {
    if (!holds) faults.push(fault);
  };
  const items = new Map(input.items.map((item) => [item.id, item]));
  const rooms = new Map(input.rooms.map((room) => [room.id, room]));
  const people = new Map(input.people.map((person) => [person.id, person]));
  const placed = new Map(plan.assignments.map((one) => [one.item, one]));
  check(placed.size === plan.assignments.length, 'something is run twice');
  check(
    placed.size + plan.leftOut.length === input.items.length,
    `${placed.size} run and ${plan.leftOut.length} left out of ${input.items.length}`,
  );
  check(plan.bound <= plan.finish, 'it is sooner than its bound');

  const shifts = new Map(input.people.map((person) => [person.id, shiftOn(input, person.off, person.hours)]));
  for (const { item: id, people: by, start, end } of plan.assignments) {
    const item = items.get(id);
    const room = rooms.get(item?.room ?? '');
    if (!item || !room) {
      faults.push(`${id} is nothing of this house`);
      continue;
    }
    const who = by.flatMap((name) => people.get(name) ?? []);
    const handed = input.handed[id]?.people.filter((name) => people.has(name)) ?? [];
    if (handed.length > 0) {
      check(handed.join() === by.join(), `${id} was handed to ${handed} and is run by ${by}`);
      check(localOf(start, input.timeZone).day >= (input.handed[id]?.day ?? ''), `${id} begins before its day`);
    } else check(canRun(item, who, input), `${id} cannot be run by ${by}`);
    check(start >= input.from && start >= (item.from ?? 0), `${id} begins before it can`);
    if (room.held?.until !== undefined) check(start >= room.held.until, `${id} begins while its room is held`);

    const pace = who.reduce((sum, person) => sum + (person.pace[item.rate] ?? 1) * (person.learner ? 0.5 : 1), 0);
    const minutes = Math.max(1, Math.ceil((item.hours * 60) / pace - 1e-9));
    const own = by.map((name) => shifts.get(name) ?? (() => undefined));
    check(
      own.every((shift) => worksAt(shift, start, input.timeZone)),
      `${id} begins when somebody is off`,
    );
    if (minutes <= 90 && who.every(({ hours }) => hours >= 4))
      check(localOf(start, input.timeZone).day === localOf(end - 1, input.timeZone).day, `${id} is left over night`);
    check(workedIn(own, start, end, input.timeZone) === minutes, `${id} takes ${minutes} minutes and has others`);

    for (const { item: before, until, muds } of item.after) {
      const first = placed.get(before);
      if (!first) {
        faults.push(`${id} is run without ${before}`);
        continue;
      }
      const firm = Math.max(
        ...muds.map(({ mud }) => (mud.kind === 'setting' ? mud.minutes : 30)),
        muds.length > 0 ? 0 : 30,
      );
      const air = airs[room.air] ?? { temperature: 20, humidity: 50 };
      const hours = muds.map((mud) => {
        const times = coatTimes(mud, air);
        return until === 'sand' ? times.sandHours : times.recoatHours;
      });
      const stiff = Math.max(...muds.map(({ mud }) => Math.max(2, mud.kind === 'setting' ? mud.minutes / 60 : 0)));
      const wait =
        until === 'ended' ? 0 : until === 'firm' ? firm / 60 : until === 'stiff' ? stiff : Math.max(...hours);
      check(start >= first.end + wait * HOUR_MS - 1, `${id} begins ${until} of ${before} too soon`);
    }
  }

  const all = plan.assignments.flatMap((one) => {
    const item = items.get(one.item);
    return item ? [{ ...one, of: item }] : [];
  });
  for (const [index, a] of all.entries()) {
    for (const b of all.slice(index + 1)) {
      const overlap = a.start < b.end && b.start < a.end;
      if (overlap) check(!a.people.some((name) => b.people.includes(name)), `${a.item} and ${b.item} by one person`);
      if (a.of.room !== b.of.room || a.of.run === undefined || b.of.run === undefined || a.of.run === b.of.run)
        continue;
      if (![a.of.run, b.of.run].every((run) => ['bead', 'butt', 'flat', 'angle'].includes(run ?? ''))) continue;
      // Whichever comes first.
      const [under, over] = a.start <= b.start ? [a, b] : [b, a];
      const firm = Math.max(...under.of.muds.map(({ mud }) => (mud.kind === 'setting' ? mud.minutes : 30)), 0);
      check(over.start >= under.end + firm * MINUTE_MS, `${over.item} crosses ${under.item} while that is soft`);
    }
    const at = all.filter((other) => other.start <= a.start && a.start < other.end);
    const inRoom = at.filter(({ of }) => of.room === a.of.room).length;
    check(inRoom <= (rooms.get(a.of.room)?.space ?? 1), `${inRoom} jobs at once in ${a.of.room}`);
    const { tool } = a.of;
    if (tool !== undefined)
      check(
        at.filter(({ of }) => of.tool === tool).length <= (input.crew.tools[tool] ?? input.people.length),
        `${tool} is used by too many`,
      );
  }

  const isLast = ({ of }: (typeof all)[number]) => plan.last.includes(of.room);
  const lastEnd = (some: typeof all) => Math.max(input.from, ...some.map(({ end }) => end));
  const main = all.some((one) => !isLast(one)) ? all.filter((one) => !isLast(one)) : all;
  check(plan.finish === lastEnd(main), 'its finish is not its last end');
  check(plan.withHeld === undefined || plan.withHeld.finish === lastEnd(all), 'with what is held it ends otherwise');
  const others = Math.max(input.from, ...all.filter((one) => !isLast(one)).map(({ end }) => end));
  for (const one of all.filter(isLast)) check(one.start >= others, `${one.item} is run before those that are not held`);
  for (const { item, why } of plan.leftOut) {
    const of = items.get(item);
    if (!of) faults.push(`${item} is left out and nothing of this house`);
    else if (why === 'nobody') check(!someTeam(of, input), `${item} is left out, and there is somebody`);
    else if (why === 'before')
      check(
        of.after.some((one) => plan.leftOut.some((out) => out.item === one.item)),
        `${item} waits for nothing left out`,
      );
  }
  return faults;
}

function canRun(item: WorkItem, who: readonly PlanInput['people'][number][], input: PlanInput): boolean {
  const [first, second, third] = who;
  if (!first || third || first.learner || !first.skills.includes(item.skill)) return false;
  if (item.people === 1) return !second || (second.learner && second.skills.includes(item.skill));
  const wiper = (person: typeof first) => person.skills.includes(item.skill) || person.skills.includes('coat');
  return second ? wiper(second) && second !== first : !input.people.some((other) => other !== first && wiper(other));
}

const someTeam = (item: WorkItem, input: PlanInput): boolean =>
  input.people.some(({ skills, learner }) => !learner && skills.includes(item.skill));

/** The day and the minutes since midnight on the wall. */
function localOf(
  at: number,
  timeZone: string,
): { readonly day: string; readonly minutes: number; readonly weekday: number } {
  const offset = offsetAt(at, timeZone);
  const local = new Date(at + offset);
  return {
    day: local.toISOString().slice(0, 10),
    minutes: local.getUTCHours() * 60 + local.getUTCMinutes() + local.getUTCSeconds() / 60,
    weekday: local.getUTCDay() || 7,
  };
}

const offsets = new Map<string, number>();
function offsetAt(at: number, timeZone: string): number {
  const key = `${timeZone} ${Math.floor(at / HOUR_MS)}`;
  let offset = offsets.get(key);
  if (offset === undefined) {
    const hour = Math.floor(at / HOUR_MS) * HOUR_MS;
    const parts = new Intl.DateTimeFormat('en-US', {
      timeZone,
      hourCycle: 'h23',
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
    }).formatToParts(hour);
    const of = (type: string) => Number(parts.find((part) => part.type === type)?.value);
    offset = Date.UTC(of('year'), of('month') - 1, of('day'), of('hour'), of('minute')) - hour;
    offsets.set(key, offset);
  }
  return offset;
}

/** From when to when somebody works on a day, minutes since midnight. */
type Shift = (day: string, weekday: number) => readonly [number, number] | undefined;

function shiftOn({ crew }: PlanInput, away: readonly string[], hours: number): Shift {
  return (day, weekday) =>
    crew.weekdays.includes(weekday) && !crew.holidays.includes(day) && !away.includes(day)
      ? [crew.begins * 60, crew.begins * 60 + hours * 60 - 30]
      : undefined;
}

function worksAt(shift: Shift, at: number, timeZone: string): boolean {
  const { day, weekday, minutes } = localOf(at, timeZone);
  const own = shift(day, weekday);
  return own !== undefined && minutes >= own[0] && minutes < own[1];
}

/** Minutes in which all of them work between two instants. */
function workedIn(shifts: readonly Shift[], start: number, end: number, timeZone: string): number {
  let sum = 0;
  const counted = new Set<string>();
  for (let at = start - DAY_MS; ; at += DAY_MS) {
    const { day, weekday } = localOf(Math.min(at, end), timeZone);
    const [from, to] = shifts
      .map((shift) => shift(day, weekday))
      .reduce<readonly [number, number]>(
        (both, own) => (own ? [Math.max(both[0], own[0]), Math.min(both[1], own[1])] : [1, 0]),
        [0, 1440],
      );
    if (to > from && !counted.has(day)) {
      counted.add(day);
      const noon = Date.parse(`${day}T12:00:00Z`) - offsetAt(Date.parse(`${day}T12:00:00Z`), timeZone);
      const [begins, ends] = [noon + (from - 720) * MINUTE_MS, noon + (to - 720) * MINUTE_MS];
      sum += Math.max(0, Math.min(end, ends) - Math.max(start, begins));
    }
    if (at >= end) return Math.round(sum / MINUTE_MS);
  }
}
