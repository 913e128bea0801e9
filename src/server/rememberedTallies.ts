import { createHash } from 'node:crypto';
import { MOST_WORK_IN_HOUSE } from '../core/house/checks/bounds';
import { workOf } from '../core/house/checks/workOf';
import { resolveHang } from '../core/house/resolveHang';
import type { HouseHead, Room } from '../core/house/schema';
import { takeOff } from '../core/joints/takeOff';
import type { Tally } from '../core/joints/tally';

interface Known {
  readonly work: number;
  /** Undefined for a room that cannot be worked out. */
  readonly tally: Tally | undefined;
}

const MOST_REMEMBERED = 4000;
const tallies = new Map<string, Known>();

/**
 * The take-offs of the rooms of a house, each worked out once for each content. A room that is too large is passed over, and
 * so are the rooms for which a house leaves no work any more: one of them keeps nobody from the others.
 */
export function rememberedTallies(head: HouseHead): (room: Room) => Tally | undefined {
  let left = MOST_WORK_IN_HOUSE;
  return (room) => {
    const { work, tally } = left >= 0 ? remembered(room, head) : NOT_WORKED_OUT;
    left -= work;
    return left >= 0 ? tally : undefined;
  };
}

const NOT_WORKED_OUT: Known = { work: 0, tally: undefined };

/** The key is a hash of all that a take-off depends on. */
function remembered(room: Room, head: HouseHead): Known {
  const key = createHash('sha1')
    .update(JSON.stringify([room, head.unit, resolveHang(head, room)]))
    .digest('base64');
  const known = tallies.get(key);
  if (known) return known;
  const work = workOf(room, head);
  const made = work === undefined ? NOT_WORKED_OUT : { work, tally: takeOff(room, head).tally };
  if (tallies.size >= MOST_REMEMBERED) tallies.delete(tallies.keys().next().value ?? key);
  tallies.set(key, made);
  return made;
}
