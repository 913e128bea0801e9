import type { CoatedClass } from '../method/coat';
import { stretchNow } from '../readiness/whatNow';
import type { Level } from '../room/level';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';

/** Why a face, or a room, cannot be signed off yet. */
export type NotSigned =
  | { readonly why: 'tooHigh'; readonly level: Level }
  | { readonly why: 'missing' | 'wet' | 'unsanded'; readonly class: CoatedClass }
  | { readonly why: 'open' }
  | { readonly why: 'nothing' };

/**
 * Why faces cannot be signed off to a level: it is more than the room is finished to; a coat is missing, wet or not sanded; or
 * something that is wrong on them is not mended.
 *
 * @param faces by id; all of the room where it does not say
 * @param now ms since 1970
 */
export function whyNotSigned(
  room: Pick<RoomSnapshot, 'level' | 'applied' | 'coats' | 'method' | 'air' | 'done' | 'state'>,
  faces: readonly string[] | undefined,
  level: Level,
  now: number,
): NotSigned | undefined {
  const { applied, coats, method, air: clock, done, state } = room;
  if (level > room.level) return { why: 'tooHigh', level: room.level };
  if (applied.coats.size === 0) return { why: 'nothing' };
  const isAsked = (face: string | undefined) => faces === undefined || face === undefined || faces.includes(face);
  for (const stretch of applied.stretches) {
    const pieces = stretch.pieces.filter(({ face }) => isAsked(face));
    if (pieces.length === 0 || stretch.coats.length === 0) continue;
    const own = coats.filter((coat) => coat.class === stretch.class);
    const { kind } = stretchNow(stretch, own, { method, applied, clock, now });
    if (kind === 'wet') return { why: 'wet', class: stretch.class };
    if (kind !== 'done') return { why: 'missing', class: stretch.class };
    if (pieces.some(({ id }) => !done.sandedPieces.has(id))) return { why: 'unsanded', class: stretch.class };
  }
  return state.items.some(({ closed, face }) => !closed && isAsked(face)) ? { why: 'open' } : undefined;
}
