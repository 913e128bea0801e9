import type { CoatEntry } from '../log/entry';
import { hoursTaken } from '../log/hoursTaken';
import type { RoomState } from '../log/roomState';
import { whoDid } from '../log/whoDid';
import { groupBy } from '../measure/groupBy';
import { memoizeLast } from '../measure/memoizeLast';
import { coatNamed } from '../method/coatNamed';
import type { RoomCoat } from '../method/roomCoats';
import { shareOfSmall } from '../method/smallWork';
import type { Evidence } from '../rates/learn';
import { scrapedFor } from '../readiness/scrapedFor';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { amountCovered } from '../standing/coveredBy';
import { rateOfCoat } from '../work/rateOfCoat';
import { partOfTask, setUpFactor, smallHours, type Task } from '../work/tasksOf';

const MINUTES = 60;

/**
 * Returns how long people took for what they logged with begun and ended, less the pauses, beside the hours that the plan reckons for
 * it: the coats with what is scraped before them, what is done beside them and their part of setting up. What was logged together
 * took its time together.
 */
export const evidenceIn = (rooms: readonly RoomSnapshot[]): readonly Evidence[] =>
  rooms.flatMap(({ state, coats, method, tasks }) => cachedEvidence(state, coats, method, tasks));

/** Of a room of which nothing changed since it was asked last the evidence is the same. */
const cachedEvidence = memoizeLast(evidenceInRoom);

function evidenceInRoom(
  state: RoomState,
  coats: RoomSnapshot['coats'],
  method: RoomSnapshot['method'],
  tasks: RoomSnapshot['tasks'],
): readonly Evidence[] {
  const room = { state, coats, method, tasks };
  const timed = state.applied.filter(({ payload: { begun, ended } }) => begun !== undefined && ended !== undefined);
  const passes = groupBy(timed, (entry) => `${entry.payload.begun} ${entry.payload.ended} ${whoDid(entry).join(' ')}`);
  return [...passes.values()].flatMap((entries) => {
    const [first] = entries;
    const people = first ? whoDid(first) : [];
    const parts = entries.flatMap((entry) => plannedFor(entry, room) ?? []);
    const usual = parts.reduce((sum, part) => sum + part.usual, 0);
    if (usual === 0) return [];
    const took = withoutRounding(((first && hoursTaken(first)) ?? 0) * people.length, usual, people.length);
    return [...groupBy(parts, ({ rate }) => rate)].map(([rate, own]): Evidence => {
      const part = own.reduce((sum, one) => sum + one.usual, 0);
      return { people, rate, usual: part, took: (took * part) / usual, weight: part / usual };
    });
  });
}

type TimedRoom = Pick<RoomSnapshot, 'state' | 'coats' | 'method' | 'tasks'>;

/** The hours that the plan reckons for what an entry put on. */
function plannedFor(entry: CoatEntry, { state, coats, method, tasks }: TimedRoom) {
  const { payload } = entry;
  const coat = coatNamed(coats, payload);
  const whole = tasks.find(({ pass }) => pass === coat?.round);
  if (!coat || !whole) return undefined;
  const amount = payload.on ? amountCovered(payload) : coat.amount * payload.part;
  const edges = whole.small.filter(({ kind }) => kind === 'factoryEdge');
  const factor = setUpFactor(whole);
  const part = { pass: whole.pass, coats: [coat], small: edges };
  const { hours } = partOfTask(part, coats, method, factor, () => wasScrapedBefore(entry, state));
  const beside = factor * besideIn(whole, coat, whoDid(entry), { state, coats });
  return { rate: rateOfCoat(coat), usual: ((hours + beside) * amount) / coat.amount };
}

/** Whether what lies under a coat was scraped before anybody began to put it on: then its time does not lie in between. */
function wasScrapedBefore(entry: CoatEntry, { applied, betweens }: RoomState): boolean {
  const begun = Date.parse(entry.payload.begun ?? entry.at);
  const before = betweens.filter(({ at }) => Date.parse(at) <= begun);
  return (
    scrapedFor({ applied: applied.slice(0, applied.indexOf(entry)), betweens: before }, entry.payload) !== undefined
  );
}

/** The hours of three-ways and centring that go with a coat, where its whole round was assigned to these people at once. */
function besideIn(
  whole: Task,
  coat: RoomCoat,
  people: readonly string[],
  { state, coats }: Pick<TimedRoom, 'state' | 'coats'>,
): number {
  const given = state.assignments.get(whole.pass);
  if (given?.people.join(' ') !== people.join(' ')) return 0;
  return whole.small.reduce((sum, work) => {
    if (work.kind === 'factoryEdge' || work.kind === 'prefill') return sum;
    const apart = state.assignments.get(`${work.kind}.${work.round}`);
    return apart && apart.nth > given.nth ? sum : sum + smallHours(work) * shareOfSmall(work, coat, coats);
  }, 0);
}

/** Clocks and plans count whole minutes: what is longer than usual by less than one took as long as usual. */
const withoutRounding = (took: number, usual: number, people: number): number =>
  took > usual ? Math.max(usual, took - people / MINUTES) : took;
