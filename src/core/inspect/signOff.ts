import type { OpenItem } from '../log/roomState';
import type { CoatedClass } from '../method/coat';
import { DEFECTS } from '../method/defects';
import { methodOn } from '../method/roomCoats';
import { stretchNow } from '../readiness/stretchNow';
import type { RoomNow } from '../readiness/whatNow';
import { LEVELS, type Level } from '../room/level';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { facesToSign } from '../standing/finished';

/** Why a face, or a room, cannot be signed off yet. */
export type NotSigned =
  | { readonly why: 'tooHigh'; readonly level: Level }
  | { readonly why: 'missing' | 'wet' | 'unsanded'; readonly class: CoatedClass }
  | { readonly why: 'open' }
  | { readonly why: 'nothing' };

/**
 * Why faces cannot be signed off to a level: it is more than the room is finished to; a coat is missing, wet or not sanded; or
 * something that is wrong on them is not fixed. What sealing fixes is left to it.
 *
 * @param faces by id; all of the room where it does not say
 * @param now ms since 1970
 */
export function whyNotSigned(
  room: Pick<RoomSnapshot, 'room' | 'level' | 'applied' | 'coats' | 'method' | 'clock' | 'done' | 'state'>,
  faces: readonly string[] | undefined,
  level: Level,
  now: number,
): NotSigned | undefined {
  const { applied, coats, method, clock, done, state } = room;
  const highest = Math.max(...(faces ?? facesToSign(applied)).map((face) => agreedLevel(face, room)), 0);
  const agreed = LEVELS.find((own) => own === highest) ?? room.level;
  if (applied.coats.size === 0) return { why: 'nothing' };
  if (level > agreed) return { why: 'tooHigh', level: agreed };
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
  const isOpen = ({ closed, face, defect }: OpenItem) =>
    !closed && isAsked(face) && (defect === undefined || DEFECTS[defect].mend !== 'seal');
  return state.items.some(isOpen) ? { why: 'open' } : undefined;
}

/** The level that is agreed for a face of a room. */
export const agreedLevel = (face: string, { method, room }: Pick<RoomSnapshot, 'method' | 'room'>): Level =>
  methodOn([face], method, room.finish).level;

/** Returns why a room cannot be handed over yet; undefined where it can, sealed or not. */
export function whyNotHandedOver({ standing, state }: Pick<RoomSnapshot, 'standing' | 'state'>): RoomNow | undefined {
  const { now } = standing;
  if (now.kind === 'handOver' || now.kind === 'done') return undefined;
  // The painters may seal it, but nothing that is wrong is left to them.
  return now.kind === 'seal' && state.items.every(({ closed }) => closed) ? undefined : now;
}
