import { LRUCache } from 'lru-cache';
import type { BeadPiece } from '../../joints/tally';
import { groupBy } from '../../measure/groupBy';
import type { LengthUnit } from '../../measure/unit';
import type { EdgeProfile } from '../../room/kinds';
import { KERF_MM, PACKS } from '../packs';
import { type CutList, cutStock, STEP_MM } from './cutStock';

/** A piece of bead or trim, and the room whose edge it covers. */
export interface RoomBead extends BeadPiece {
  readonly room: string;
}

/** What of one profile is cut from which sticks. */
export interface BeadCuts {
  readonly profile: EdgeProfile;
  readonly pieces: readonly RoomBead[];
  readonly list: CutList;
}

/**
 * Bead and trim cut from sticks, profile by profile: no stick of one can be cut into another.
 *
 * @param sticks their lengths, mm; those that are sold where it does not say
 * @param kerf what a cut takes, mm
 */
export const cutBead = (
  pieces: readonly RoomBead[],
  unit: LengthUnit,
  sticks: readonly number[] = PACKS[unit].beadSticks,
  kerf = KERF_MM[unit],
): readonly BeadCuts[] =>
  [...groupBy(pieces, ({ profile }) => profile)].map(([profile, own]) => ({
    profile,
    pieces: own,
    list: cachedCut(
      own.map(({ length }) => length),
      sticks,
      kerf,
      STEP_MM[unit],
    ),
  }));

const lists = new LRUCache<string, CutList>({ max: 50 });

/** A house is opened again and again; its bead is the same until a room is another. */
function cachedCut(pieces: readonly number[], sticks: readonly number[], kerf: number, step: number): CutList {
  const key = JSON.stringify([pieces, sticks, kerf, step]);
  const known = lists.get(key);
  if (known) return known;
  const list = cutStock({ pieces, sticks: sticks.map((length) => ({ length })), kerf, step });
  lists.set(key, list);
  return list;
}
