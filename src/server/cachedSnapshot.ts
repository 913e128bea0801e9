import { LRUCache } from 'lru-cache';
import type { HouseLog } from '../core/log/houseLog';
import type { Catalogue } from '../core/materials/catalogueSchema';
import type { Room } from '../core/room/schema';
import { type HouseSnapshot, houseSnapshotSteps } from '../core/snapshot/houseSnapshot';
import { nextChange } from '../core/snapshot/nextChange';
import type { StoredHouse } from '../db/houses';
import type { LoadedAir } from './cachedAir';
import { cachedTakeOffs } from './takeOffs/cachedTakeOffs';
import { inSlices } from './threads/inSlices';

/** What a house is worked out from. */
interface Ground {
  readonly house: StoredHouse;
  readonly log: HouseLog;
  readonly air: LoadedAir;
  readonly catalogue: Catalogue;
}

/** A house as it stood at an instant, and when something in it changes by itself. */
interface Standing {
  readonly snapshot: HouseSnapshot;
  readonly changesAt: number | undefined;
}

interface Remembered extends Standing {
  readonly key: string;
  readonly head: string;
  readonly air: LoadedAir;
  readonly catalogue: Catalogue;
  readonly from: number;
}

/** Air changes a little all the time: a house that was worked out so long ago is worked out anew. */
const HOLDS_MS = 60_000;
const houses = new LRUCache<string, Remembered>({ max: 50 });

/**
 * A house as it stands at an instant. Who goes from one station to the next finds it as it was worked out for the last one, as long
 * as nothing was said, measured or changed, and nothing in it changed by itself.
 *
 * @param instant ms since 1970
 */
export async function cachedSnapshot({ house, log, air, catalogue }: Ground, instant: number): Promise<Standing> {
  const key = JSON.stringify([house.seq, house.airSeq, house.roomsSeq]);
  const head = JSON.stringify(house.head);
  const last = houses.get(house.id);
  const isSameGround = last?.head === head && last.air === air && last.catalogue === catalogue;
  const known = isSameGround && holdsAt(last, instant) ? last : undefined;
  if (known?.key === key) return known;
  const rooms = house.rooms.map(({ room }) => room);
  const takeOffs = await cachedTakeOffs(house.head, rooms);
  const takenOff = (room: Room) => takeOffs.get(room);
  const states = log.states();
  const snapshot = await inSlices(
    houseSnapshotSteps(house.head, rooms, states, air.of, instant, takenOff, catalogue, known?.snapshot),
  );
  const from = known?.from ?? instant;
  const made: Remembered = { key, head, air, catalogue, from, snapshot, changesAt: nextChange(snapshot, instant) };
  houses.set(house.id, made);
  return made;
}

const holdsAt = ({ from, changesAt = Number.POSITIVE_INFINITY }: Remembered, instant: number): boolean =>
  instant >= from && instant < Math.min(changesAt, from + HOLDS_MS);
