import { handedIn } from '../log/stateOf';
import type { RoomCoat } from '../method/roomCoats';
import type { SmallWork } from '../method/smallWork';
import type { HandedPass } from '../work/dayListOf';
import { type Pass, partOfTask, type Task } from '../work/tasksOf';
import { ROOM_HOURS } from '../work/usualRates';
import { workOfCoat } from '../work/workName';
import type { RoomSite } from './siteOf';

/** Everything that has been handed to somebody, in the order of the house: of each pass what the same people have on a day. */
export const handedPasses = (rooms: readonly RoomSite[]): readonly HandedPass<RoomSite>[] =>
  rooms.flatMap((room) => (room.state.handed === 0 ? [] : handedInRoom(room)));

interface Part {
  readonly pass: Pass;
  readonly people: readonly string[];
  readonly day: string;
  readonly coats: RoomCoat[];
  readonly small: SmallWork[];
}

function handedInRoom(room: RoomSite): readonly HandedPass<RoomSite>[] {
  const parts = new Map<string, Part>();
  const partFor = (work: string, pass: Pass): Part | undefined => {
    const given = handedIn(room.state, work, pass);
    if (!given) return undefined;
    const { people, day } = given;
    const key = `${pass} ${day} ${people.join(' ')}`;
    const known = parts.get(key) ?? { pass, people, day, coats: [], small: [] };
    parts.set(key, known);
    return known;
  };
  const whole = new Map<Pass, Task>();
  for (const task of room.tasks) {
    whole.set(task.pass, task);
    for (const coat of task.coats) partFor(workOfCoat(coat), task.pass)?.coats.push(coat);
    for (const work of task.small) partFor(workOfSmall(work), task.pass)?.small.push(work);
    if (task.coats.length === 0) partFor(task.pass, task.pass);
  }
  if (room.tasks.length > 0) for (const pass of ['check', 'seal'] as const) partFor(pass, pass);
  return [...parts.values()].map(({ pass, people, day, coats, small }) => ({
    room,
    people,
    day,
    task:
      coats.length + small.length > 0
        ? partOfTask({ pass, coats, small }, room.coats, room.method)
        : (whole.get(pass) ?? { pass, coats, small, hours: ROOM_HOURS, parts: [] }),
  }));
}

/** Factory edges are filled with the angles that they lie in. */
function workOfSmall({ kind, round }: SmallWork): string {
  if (kind === 'prefill') return kind;
  return kind === 'factoryEdge' ? round : `${kind}.${round}`;
}

/** The part of a pass that is done, 0–1. */
export function passDone({ state, applied }: RoomSite, task: Task): number {
  if (task.pass === 'sand') return state.sanded ? 1 : 0;
  if (task.pass === 'check') return state.checked ? 1 : 0;
  if (task.pass === 'seal') return state.sealed || state.handedOver ? 1 : 0;
  // Small work is done with its coats.
  if (task.coats.length === 0) return applied.coats.size > 0 ? 1 : 0;
  const shares = task.coats.map((coat) => applied.coats.get(coat.id)?.share ?? 0);
  return shares.reduce((sum, share) => sum + share, 0) / shares.length;
}
