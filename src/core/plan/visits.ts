import { dayOf } from '../measure/dayOf';
import type { WorkItem } from '../work/workItem';
import type { Assignment } from './planHouse';

/** Work that the same people run in one go on one day: of one round in a run of rooms, or of any round in one room. */
export interface Visit {
  readonly people: readonly string[];
  /** YYYY-MM-DD, on which it begins. */
  readonly day: string;
  /** Instants in ms since 1970. */
  readonly start: number;
  readonly end: number;
  /** In the order in which they begin. */
  readonly runs: readonly VisitRun[];
}
interface VisitRun {
  readonly assignment: Assignment;
  readonly item: WorkItem;
}

/** The settings that say where one visit ends and the next begins. */
export interface VisitRules {
  readonly timeZone: string;
  /** What takes less than so many minutes is no visit of its own. */
  readonly least: number;
  /** What is in one visit has the same mark: its house, and whether it is assigned or proposed. */
  readonly markOf: (item: WorkItem) => string;
}

interface Draft {
  readonly people: readonly string[];
  readonly day: string;
  readonly mark: string;
  readonly runs: VisitRun[];
  readonly rooms: Set<string>;
  readonly passes: Set<string>;
}

/**
 * Gathers the assignments of a plan into visits. Whoever goes on in the room, or with the round in the next room, is on the same visit; what is
 * too short for a visit rides along with the one beside it, rather with one to the same room.
 *
 * @param assignments in the order in which they begin
 */
export function visitsOf(
  assignments: readonly Assignment[],
  items: ReadonlyMap<string, WorkItem>,
  rules: VisitRules,
): readonly Visit[] {
  const drafts: Draft[] = [];
  /** What each person is on. */
  const on = new Map<string, Draft>();
  for (const assignment of assignments) {
    const item = items.get(assignment.item);
    if (!item) continue;
    const { people, start } = assignment;
    const [day, mark] = [dayOf(start, rules.timeZone), rules.markOf(item)];
    const known = sharedBy(people, on);
    if (known && known.day === day && known.mark === mark && goesOn(known, item)) {
      add(known, { assignment, item });
      continue;
    }
    const draft: Draft = { people, day, mark, runs: [], rooms: new Set(), passes: new Set() };
    add(draft, { assignment, item });
    drafts.push(draft);
    for (const person of people) on.set(person, draft);
  }
  return withoutShort(drafts, rules.least).map(({ people, day, runs }) => ({
    people,
    day,
    start: runs[0]?.assignment.start ?? 0,
    end: Math.max(...runs.map(({ assignment }) => assignment.end)),
    runs,
  }));
}

/** Returns the visit that all of some people are on, and nobody else. */
function sharedBy(people: readonly string[], on: ReadonlyMap<string, Draft>): Draft | undefined {
  const [first = ''] = people;
  const draft = on.get(first);
  const isShared = draft?.people.length === people.length && people.every((person) => on.get(person) === draft);
  return isShared ? draft : undefined;
}

/** Whether an item is in the room of a visit, or of its round. */
const goesOn = ({ rooms, passes }: Draft, { room, pass }: WorkItem): boolean =>
  (rooms.size === 1 && rooms.has(room)) || (passes.size === 1 && passes.has(pass));

function add({ runs, rooms, passes }: Draft, run: VisitRun): void {
  runs.push(run);
  rooms.add(run.item.room);
  passes.add(run.item.pass);
}

/** Takes visits that are too short into the one before or after them, by the same people and on the same day. */
function withoutShort(drafts: readonly Draft[], least: number): readonly Draft[] {
  let left = [...drafts];
  for (const short of drafts) {
    if (!left.includes(short) || minutesOf(short) >= least) continue;
    const beside = [besideOf(short, left, 1), besideOf(short, left, -1)].filter((one) => one !== undefined);
    const into = beside.find(({ rooms }) => [...short.rooms].some((room) => rooms.has(room))) ?? beside[0];
    if (!into) continue;
    const runs = [...into.runs, ...short.runs].sort((a, b) => a.assignment.start - b.assignment.start);
    into.runs.length = 0;
    for (const run of runs) add(into, run);
    left = left.filter((draft) => draft !== short);
  }
  return left.sort((a, b) => startOf(a) - startOf(b));
}

const startOf = ({ runs }: Draft): number => runs[0]?.assignment.start ?? 0;
/** Minutes of work, not of waiting. */
const minutesOf = ({ runs }: Draft): number =>
  runs.reduce((sum, { assignment: { hours, people } }) => sum + (60 * hours) / people.length, 0);

/** Returns the next visit of the same people that day, or the one before; undefined where one of them is on another in between. */
function besideOf(draft: Draft, drafts: readonly Draft[], way: 1 | -1): Draft | undefined {
  const found = draft.people.map((person) => {
    const own = drafts.filter(({ people }) => people.includes(person)).sort((a, b) => startOf(a) - startOf(b));
    return own[own.indexOf(draft) + way];
  });
  const [first] = found;
  const isBeside =
    first?.day === draft.day &&
    first.mark === draft.mark &&
    first.people.length === draft.people.length &&
    found.every((one) => one === first);
  return isBeside ? first : undefined;
}
