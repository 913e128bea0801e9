import type { WetMud } from '../drying/wetMud';
import type { Tally } from '../joints/tally';
import { sealedArea } from '../materials/loadList';
import { MM_PER_FOOT } from '../measure/unit';
import type { CoatedClass } from '../method/coat';
import type { Method } from '../method/resolveMethod';
import type { RoomCoat } from '../method/roomCoats';
import { RATES_PER_HOUR, ROOM_HOURS, SAND_MENDED_HOURS, SEAL_MM2_PER_HOUR, SKIM_SAND_FT2_PER_HOUR } from './usualRates';

/** A walk with the lamp past so much wall in an hour: 1,200 ft². Common practice, no source. */
const CHECK_MM2_PER_HOUR = 1200 * MM_PER_FOOT ** 2;

/**
 * Returns the person-hours of sanding some of a class at the end, by the default rates.
 *
 * @param amount mm of joint, fasteners by count, mm² of surface
 * @example sandHours('flat', 200 * 304.8)  // 1
 */
export function sandHours(kind: CoatedClass, amount: number): number {
  if (kind === 'surface') return amount / MM_PER_FOOT ** 2 / SKIM_SAND_FT2_PER_HOUR;
  return (kind === 'fasteners' ? amount : amount / MM_PER_FOOT) / RATES_PER_HOUR[kind].sand;
}

/** Returns the person-hours of sanding some amounts, see `amountsToSand`, without walking in. */
export const sandHoursOf = (amounts: ReadonlyMap<CoatedClass, number>): number =>
  [...amounts].reduce((sum, [kind, amount]) => sum + sandHours(kind, amount), 0);

/**
 * Returns the person-hours of the sanding that is left in a room, walking in included. Where nothing else is left, each place that is
 * fixed with mud is sanded once more.
 *
 * @param left person-hours of what was never sanded
 * @param mends what is to be fixed in it
 */
export function sandingHours(left: number, mends: readonly { readonly mud?: WetMud | undefined }[]): number {
  const hours = left > 0 ? left : mends.filter(({ mud }) => mud !== undefined).length * SAND_MENDED_HOURS;
  return hours > 0 ? ROOM_HOURS + hours : 0;
}

/** Returns the person-hours of looking at a room with a lamp, walking in included. */
export const checkHours = ({ paintedArea }: Pick<Tally, 'paintedArea'>): number =>
  ROOM_HOURS + paintedArea / CHECK_MM2_PER_HOUR;

/** Returns the person-hours of sealing a room, walking in included; 0 where the crew seals nothing in it. */
export function sealHours(tally: Tally, coats: readonly RoomCoat[], method: Method): number {
  const area = sealedArea(tally, coats, method);
  return area > 0 ? ROOM_HOURS + area / SEAL_MM2_PER_HOUR : 0;
}
