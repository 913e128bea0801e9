import type { NewEntry } from '../log/entry';
import { stretchClock } from '../readiness/stretchClock';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import type { Stretch } from '../standing/appliedCoats';
import { isCeilingFirst, liesOn } from '../standing/liesOn';
import type { EntryRefusal } from './entryRules';

/**
 * Returns that a coat is logged once more while the same one is wet on everything that it covers: then it is either the same coat,
 * which two people logged, or the next one on mud that is wet, and only who logs it knows.
 */
export function wetSameCoat(
  { at, payload }: Extract<NewEntry, { kind: 'coat' }>,
  room: RoomSnapshot,
): EntryRefusal | undefined {
  if (payload.repeat !== undefined) return undefined;
  const covered = room.applied.stretches.filter((stretch) => isCovered(stretch, payload, room));
  const instant = Date.parse(at);
  const until = covered.map((stretch) => wetUntil(stretch, payload.key, room, instant));
  if (until.length === 0 || until.some((one) => one === undefined)) return undefined;
  return { why: 'sameCoat', class: payload.class, key: payload.key, until: Math.max(...until.map((one) => one ?? 0)) };
}

function isCovered(
  { class: kind, pieces }: Stretch,
  { class: said, faces, pieces: named, side }: Extract<NewEntry, { kind: 'coat' }>['payload'],
  { method, room }: RoomSnapshot,
): boolean {
  if (kind !== said) return false;
  const ids = named && new Set(named.map(({ id }) => id));
  return pieces.some(
    (piece) =>
      (ids?.has(piece.id) ?? faces?.includes(piece.face) ?? true) &&
      liesOn(piece, side, isCeilingFirst(piece, method, room.finish)),
  );
}

/** Until when the last coat of a name on a stretch is wet; undefined where it is not on whole, or dry by then. */
function wetUntil(stretch: Stretch, key: string, room: RoomSnapshot, at: number): number | undefined {
  const layer = stretch.layers.findLast((own) => own.key === key);
  const [entry] = layer?.entries ?? [];
  if (!layer || !entry || layer.share < 1 || Date.parse(entry.at) > at) return undefined;
  const place = stretch.coats.findIndex(({ applications }) => applications.includes(entry));
  const recoatAt = stretchClock(stretch, place, room)?.recoatAt;
  return recoatAt !== undefined && recoatAt > at ? recoatAt : undefined;
}
