import { LRUCache } from 'lru-cache';
import type { BeadPiece } from '../../joints/tally';
import { groupBy } from '../../measure/groupBy';
import type { LengthUnit } from '../../measure/unit';
import type { EdgeProfile } from '../../room/kinds';
import { NO_CATALOGUE, type Wares, waresOf } from '../catalogue';
import { KERF_MM } from '../packs';
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
 * @param wares the sticks that are sold, and what lies there of others; as usual where it does not say
 * @param kerf what a cut takes, mm
 */
export const cutBead = (
  pieces: readonly RoomBead[],
  unit: LengthUnit,
  { sticks, offcuts, splice }: Pick<Wares, 'sticks' | 'offcuts' | 'splice'> = waresOf(NO_CATALOGUE, unit),
  kerf = KERF_MM[unit],
): readonly BeadCuts[] =>
  [...groupBy(pieces, ({ profile }) => profile)].map(([profile, own]) => ({
    profile,
    pieces: own,
    list: cachedCut(
      own.map(({ length }) => length),
      sticks,
      offcuts.flatMap((left) => (left.profile === profile ? [left.length] : [])),
      kerf,
      STEP_MM[unit],
      splice,
    ),
  }));

const lists = new LRUCache<string, CutList>({ max: 50 });

/** A house is opened again and again; its bead is the same until a room is another. */
function cachedCut(
  pieces: readonly number[],
  sticks: Wares['sticks'],
  offcuts: readonly number[],
  kerf: number,
  step: number,
  splice: number | undefined,
): CutList {
  const key = JSON.stringify([pieces, sticks, offcuts, kerf, step, splice]);
  const known = lists.get(key);
  if (known) return known;
  const list = cutStock({ pieces, sticks, offcuts, kerf, step, splice });
  lists.set(key, list);
  return list;
}
