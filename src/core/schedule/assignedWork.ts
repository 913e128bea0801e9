import { type Assigned, handedIn, isGivenAlike } from '../log/roomState';
import type { CoatId } from '../method/coat';
import type { RoomCoat } from '../method/roomCoats';
import { type SmallWork, shareOfSmall } from '../method/smallWork';
import { dueItems, mendsIn } from '../readiness/mending';
import { prefillDone } from '../readiness/prefillOf';
import { scrapedFor } from '../readiness/scrapedFor';
import { uncenteredIn } from '../readiness/uncentered';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { leftToSand } from '../standing/leftToSand';
import { type AssignedOrder, compareAssigned } from '../work/assignedOrder';
import { BLOCKS, type Block } from '../work/block';
import { checkHours, sandHours, sealHours } from '../work/closing';
import type { HandedPass } from '../work/dayListOf';
import { betweenBefore, CENTRING, isBetween, type Pass, roundAfter } from '../work/pass';
import { betweenHours, partOfTask, setUpFactor, smallHours, type Task } from '../work/tasksOf';
import { ROOM_HOURS } from '../work/usualRates';
import { workOfCoat } from '../work/workName';
import { blocksIn } from './roomBlocks';

/**
 * Returns all assigned work in the order of the house, one entry per pass, people and day. Work assigned for an earlier day that is not
 * done is moved to today.
 *
 * @param today YYYY-MM-DD
 */
export const handedPasses = (rooms: readonly RoomSnapshot[], today: string): readonly HandedPass<RoomSnapshot>[] =>
  rooms.flatMap((room) =>
    room.state.handed === 0
      ? []
      : handedInRoom(room).map((handed) => {
          const isLeft = handed.day < today && room.standing.now.kind !== 'done' && passDone(handed) < 1;
          return isLeft ? { ...handed, day: today, leftFrom: handed.day } : handed;
        }),
  );

interface Part {
  readonly pass: Pass;
  readonly people: readonly string[];
  readonly day: string;
  readonly block: Block | undefined;
  /** Of the first of it. */
  order: AssignedOrder;
  readonly coats: RoomCoat[];
  readonly small: SmallWork[];
}

function handedInRoom(room: RoomSnapshot): readonly HandedPass<RoomSnapshot>[] {
  const parts = new Map<string, Part>();
  const blocks = blocksIn(room);
  const partOf = (given: Assigned | undefined, pass: Pass, block?: Block): Part | undefined => {
    if (!given) return undefined;
    const { people, day, order } = given;
    const key = `${pass} ${day} ${people.join(' ')} ${block}`;
    const known = parts.get(key) ?? { pass, people, day, block, order, coats: [], small: [] };
    parts.set(key, known);
    if (compareAssigned(given, known) < 0) known.order = order;
    return known;
  };
  const partFor = (work: string, pass: Pass) => partOf(handedIn(room.state, work, pass), pass);
  /** A coat whose walls and ceiling were given alike is one job. */
  const addCoat = (coat: RoomCoat, pass: Pass) => {
    const own = BLOCKS.flatMap((block) => {
      const lies = blocks?.coat(coat.id, block);
      return lies ? [{ block, share: lies.share, given: handedIn(room.state, workOfCoat(coat), pass, block) }] : [];
    });
    const [one, other] = own;
    if (!one) return partFor(workOfCoat(coat), pass)?.coats.push(coat);
    if (!other || isGivenAlike(one.given, other.given)) return partOf(one.given, pass)?.coats.push(coat);
    for (const { block, share, given } of own)
      partOf(given, pass, block)?.coats.push({ ...coat, amount: coat.amount * share });
  };
  /** Gaps that were found, or given to somebody by themselves, are a job of their own; what is guessed is done with the tape. */
  const isApart = ({ kind }: SmallWork): boolean =>
    kind === 'prefill' && (room.prefill.found !== undefined || room.state.assignments.has('prefill'));
  const whole = new Map<Pass, Task>();
  for (const task of room.tasks) {
    whole.set(task.pass, task);
    for (const work of task.small.filter(isApart))
      partOf(handedIn(room.state, 'prefill', task.pass), 'prefill')?.small.push(work);
    for (const coat of task.coats) addCoat(coat, task.pass);
    for (const work of task.small.filter((own) => !isApart(own) && own.kind !== 'factoryEdge')) {
      const given = handedIn(room.state, workOfSmall(work), task.pass);
      partOf(given, task.pass)?.small.push(work);
      const boxed = work.kind === 'centring' ? uncenteredIn(room, work.round) : undefined;
      // Its mud is what is left in the pan.
      if (boxed) partOf(given, CENTRING)?.small.push({ ...work, amount: work.amount * boxed.part, litres: 0 });
    }
    if (task.coats.length === 0) partFor(task.pass, task.pass);
    const before = betweenBefore(task.pass);
    if (before) partFor(before, before)?.coats.push(...task.coats.filter((coat) => hoursBefore(coat, room) > 0));
  }
  if (room.tasks.length > 0) for (const pass of ['mend', 'check', 'seal'] as const) partFor(pass, pass);
  // Factory edges are filled with the angles that they lie in, whoever runs these.
  for (const part of parts.values())
    for (const work of whole.get(part.pass)?.small ?? [])
      if (work.kind === 'factoryEdge' && part.coats.some((coat) => shareOfSmall(work, coat, room.coats) > 0))
        part.small.push(work);
  return [...parts.values()].map(({ pass, people, day, block, order, coats, small }) => ({
    room,
    people,
    day,
    order,
    block,
    task: taskOf({ pass, coats, small }, room, whole.get(pass)),
  }));
}

/** Some of the work of a pass, with its hours: those that the plan has for it. */
function taskOf(part: Pick<Part, 'pass' | 'coats' | 'small'>, room: RoomSnapshot, whole: Task | undefined): Task {
  const { pass, coats, small } = part;
  const { tasks, tally, method } = room;
  const plain = (hours: number): Task => ({ pass, coats, small, hours, parts: [{ rate: pass, hours }] });
  const factorOf = (round: Pass) => setUpFactor(tasks.find((task) => task.pass === round));
  if (isBetween(pass)) {
    const round = roundAfter(pass) ?? 'fill';
    return plain(ROOM_HOURS + factorOf(round) * coats.reduce((sum, coat) => sum + hoursBefore(coat, room), 0));
  }
  switch (pass) {
    case 'mend':
      return plain(mendsIn(room).reduce((sum, { hours }) => sum + hours, 0));
    case 'check':
      return plain(checkHours(tally));
    case 'seal':
      return plain(sealHours(tally, room.coats, method));
    case 'prefill':
      return partOfTask(part, room.coats, method, factorOf('tape'));
    case CENTRING:
      return partOfTask(part, room.coats, method, factorOf(small[0]?.round ?? 'fill'));
    case 'sand':
      return whole ?? plain(0);
    default: {
      const before = betweenBefore(pass);
      const apart = before !== undefined && handedIn(room.state, before, before) !== undefined;
      const isScrapedFor = (coat: RoomCoat) => apart || scrapedFor(room.state, coat) !== undefined;
      return partOfTask(part, room.coats, method, factorOf(pass), isScrapedFor);
    }
  }
}

const hoursBefore = (coat: RoomCoat, { coats, method }: RoomSnapshot): number => betweenHours(coat, coats, method);

/** The part of a coat that is on, in the block for which it was handed out, 0–1. */
export function coatDone(snapshot: RoomSnapshot, coat: CoatId, block: Block | undefined): number {
  const blocks = block && blocksIn(snapshot);
  return blocks ? (blocks.coat(coat, block)?.done ?? 1) : (snapshot.applied.coats.get(coat)?.share ?? 0);
}

/** Nobody scrapes under what is on. */
const isScraped = (coat: RoomCoat, { state, applied }: RoomSnapshot): boolean =>
  scrapedFor(state, coat) !== undefined || (applied.coats.get(coat.id)?.share ?? 0) > 0;

/** What somebody is sent to do where it is no coat: pre-filling, three-ways, centring. */
const workOfSmall = ({ kind, round }: SmallWork): string => (kind === 'prefill' ? kind : `${kind}.${round}`);

/** The part of a handed pass that is done, 0–1. */
export function passDone({
  room: snapshot,
  task,
  block,
}: Omit<HandedPass<RoomSnapshot>, 'people' | 'day' | 'order'>): number {
  const { done } = snapshot;
  if (task.pass === 'mend') return dueItems(snapshot).length === 0 ? 1 : 0;
  if (task.pass === 'prefill') return prefillDone(snapshot);
  if (isBetween(task.pass)) return task.coats.every((coat) => isScraped(coat, snapshot)) ? 1 : 0;
  if (task.pass === 'sand') return sandedPart(snapshot);
  if (task.pass === 'check') return done.checked ? 1 : 0;
  if (task.pass === 'seal') return snapshot.sealed.whole || snapshot.standing.now.kind === 'done' ? 1 : 0;
  // What is centered is no job any more.
  if (task.pass === CENTRING) return 0;
  if (task.coats.length === 0) return smallDone(task.small, snapshot);
  const shares = task.coats.map(({ id }) => coatDone(snapshot, id, block));
  return shares.reduce((sum, share) => sum + share, 0) / shares.length;
}

/** The part of some small work that is done, 0–1: it is done with the coats that it goes with. */
function smallDone(small: readonly SmallWork[], room: RoomSnapshot): number {
  const [work] = small;
  if (!work) return room.applied.coats.size > 0 ? 1 : 0;
  return room.coats.reduce(
    (sum, coat) => sum + shareOfSmall(work, coat, room.coats) * coatDone(room, coat.id, undefined),
    0,
  );
}

/** The part of the sanding of a room that is done by hours, 0–1. */
function sandedPart({ pieces, method, room, done }: RoomSnapshot): number {
  const toSand = [...leftToSand(pieces, method, room.finish, done)];
  const hours = (of: 'all' | 'left') => toSand.reduce((sum, [kind, own]) => sum + sandHours(kind, own[of]), 0);
  return hours('left') <= 0 ? (done.isSanded || hours('all') <= 0 ? 1 : 0) : 1 - hours('left') / hours('all');
}

/** The same by the hours of each coat and of the small work: of a pass whose angles are left much is left. */
export function hoursDone(handed: Omit<HandedPass<RoomSnapshot>, 'people' | 'day' | 'order'>): number {
  const { room, task, block } = handed;
  if (task.coats.length === 0 || isBetween(task.pass) || task.hours === 0) return passDone(handed);
  const coats = task.coats.reduce(
    (sum, { id }, index) => sum + (task.parts[index]?.hours ?? 0) * coatDone(room, id, block),
    0,
  );
  const small = task.small.filter(({ kind }) => kind !== 'factoryEdge');
  const rest = task.hours - task.parts.reduce((sum, { hours }) => sum + hours, 0);
  const all = small.reduce((sum, work) => sum + smallHours(work), 0);
  const done = small.reduce((sum, work) => sum + smallHours(work) * doneOfSmall(work, room), 0);
  return (coats + (all > 0 ? (rest * done) / all : 0)) / task.hours;
}

/** The part of some small work that is done, 0–1. */
export const doneOfSmall = (work: SmallWork, room: RoomSnapshot): number =>
  work.kind === 'prefill' ? prefillDone(room) : smallDone([work], room);
