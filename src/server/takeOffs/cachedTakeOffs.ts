import { createHash } from 'node:crypto';
import { LRUCache } from 'lru-cache';
import type { HouseHead } from '../../core/house/schema';
import { type TakenOff, takeOff, whatIsKept } from '../../core/joints/takeOff';
import { memoizeLast } from '../../core/measure/memoizeLast';
import type { Steps } from '../../core/measure/steps';
import { MOST_WORK_IN_HOUSE } from '../../core/room/checks/bounds';
import { effortOf } from '../../core/room/checks/effortOf';
import type { Room } from '../../core/room/schema';
import { inSlices } from '../threads/inSlices';
import { takeOffWorker } from './takeOffWorker';

interface Known {
  readonly work: number;
  /** Undefined for a room that cannot be worked out. */
  readonly takenOff: TakenOff | undefined | Promise<TakenOff | undefined>;
}

/** A room of more work is taken off in a thread of its own, and so is whatever comes after so long a time; ms. */
export const MOST_WORK_AT_ONCE = 50_000;
const LONGEST_AT_ONCE_MS = 100;
/** What took too long may have met a machine that stood still. */
const TRIED_AGAIN_MS = 10 * 60_000;
const takeOffs = new LRUCache<string, Known>({ max: 2500 });

/**
 * The take-offs of the rooms of a house, each worked out once for each content. A room that is too large, or that takes too
 * long, is passed over, and so are the rooms for which a house leaves no work any more: one of them keeps nobody from the
 * others.
 */
export async function cachedTakeOffs(
  head: HouseHead,
  rooms: readonly Room[],
  aside = takeOffWorker,
): Promise<ReadonlyMap<Room, TakenOff>> {
  let left = MOST_WORK_IN_HOUSE;
  let spent = 0;
  const hung = JSON.stringify([head.unit, head.hang]);
  const found = await inSlices(askedOf());

  /** Asks for one room after the other; those that a thread takes off answer later. */
  function* askedOf(): Steps<readonly Known['takenOff'][]> {
    const asked: Known['takenOff'][] = [];
    for (const room of rooms) {
      yield;
      if (left < 0) break;
      const key = keyOf(room, hung);
      const known = takeOffs.get(key) ?? begun(key, room, head);
      left -= known.work;
      asked.push(left >= 0 ? known.takenOff : undefined);
    }
    return asked;
  }

  function begun(key: string, room: Room, of: HouseHead): Known {
    const work = effortOf(room, of);
    if (work === undefined) return cache(key, { work: 0, takenOff: undefined });
    if (work <= MOST_WORK_AT_ONCE && spent <= LONGEST_AT_ONCE_MS) {
      const from = performance.now();
      const takenOff = whatIsKept(takeOff(room, of));
      spent += performance.now() - from;
      return cache(key, { work, takenOff });
    }
    const takenOff = aside({ room, head: of }).then((done) => {
      cache(key, { work, takenOff: done }, done ? undefined : TRIED_AGAIN_MS);
      return done;
    });
    return cache(key, { work, takenOff });
  }

  const done = new Map<Room, TakenOff>();
  for (const [index, takenOff] of (await Promise.all(found)).entries()) {
    const room = rooms[index];
    if (room && takenOff) done.set(room, takenOff);
  }
  return done;
}

function cache(key: string, known: Known, ttl?: number): Known {
  takeOffs.set(key, known, ttl === undefined ? {} : { ttl });
  return known;
}

/** Returns a hash of all that a take-off depends on: the room, and how the house is hung. */
const keyOf = memoizeLast((room: Room, hung: string): string =>
  createHash('sha1').update(JSON.stringify(room)).update(hung).digest('base64'),
);
