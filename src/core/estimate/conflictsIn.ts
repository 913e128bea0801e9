import type { Air } from '../air/air';
import type { HouseHead } from '../house/schema';
import { addTallies, type Tally } from '../joints/tally';
import { type Method, methodOfRoom, resolveMethod } from '../method/resolveMethod';
import { coatedClassesOf } from '../method/roomCoats';
import type { MethodClass } from '../room/methodAnswers';
import type { Room } from '../room/schema';
import type { Check, Conflict, Found, Looked } from './conflict';
import { angleSides, buttsTooNarrow, tooFewCoats } from './jointConflicts';
import {
  hardTopCoat,
  meshInAngles,
  meshInDryingMud,
  mudsOnOneAngle,
  notSealed,
  settingMudTooThin,
} from './mudConflicts';
import { boxedButts, crossingButts, tapeIntoBead, taperOnASmallJob } from './orderConflicts';

/**
 * What contradicts itself in the method of a house: the house's own choices against all its rooms, then rooms that choose
 * for themselves. Common practice, no source, but for the levels.
 */
export function conflictsIn(
  house: Pick<HouseHead, 'unit' | 'method'>,
  rooms: readonly { readonly room: Pick<Room, 'id' | 'name' | 'finish' | 'method'>; readonly tally: Tally }[],
  air: Air,
): readonly Conflict[] {
  const shared = resolveMethod(house);
  const look = (method: Method, tally: Tally, finish: Room['finish']): readonly Found[] => {
    const kinds = coatedClassesOf(tally).filter((kind): kind is MethodClass => kind !== 'surface');
    const looked: Looked = { method, tally, kinds, finish, unit: house.unit, air };
    return CHECKS.flatMap((check) => check(looked));
  };
  const common = rooms.filter(({ room }) => !room.method);
  const found: Conflict[] = [];
  if (common.length > 0) {
    const all = addTallies(common.map(({ tally }) => tally));
    found.push(...look(shared, all, undefined).map((conflict) => ({ ...conflict, room: undefined })));
  }
  const known = new Set(found.map(({ id }) => id));
  for (const { room, tally } of rooms) {
    // A room differs by its choices, or by what will cover and light it.
    if (!room.method && !room.finish) continue;
    const { id, name } = room;
    for (const conflict of look(methodOfRoom(house, room, shared), tally, room.finish)) {
      const own = room.method
        ? !(conflict.question === 'laying' && shared.all.laying === 'taper')
        : BY_FINISH.includes(conflict.question) && !known.has(conflict.id);
      if (own) found.push({ ...conflict, id: `${id}.${conflict.id}`, room: { id, name } });
    }
  }
  return found;
}

/** What a room can contradict by its surface and light alone; a taper is set up for the house, not for each room. */
const BY_FINISH: readonly Conflict['question'][] = ['width', 'last'];

const CHECKS: readonly Check[] = [
  meshInDryingMud,
  meshInAngles,
  settingMudTooThin,
  hardTopCoat,
  mudsOnOneAngle,
  angleSides,
  tooFewCoats,
  buttsTooNarrow,
  crossingButts,
  tapeIntoBead,
  notSealed,
  boxedButts,
  taperOnASmallJob,
];

/** What cannot be kept of a change: the first forbidden contradiction that was not there before it. */
export function newlyForbidden(before: readonly Conflict[], after: readonly Conflict[]): Conflict | undefined {
  const known = new Set(before.map(({ id }) => id));
  return after.find(({ id, severity }) => severity === 'forbidden' && !known.has(id));
}
