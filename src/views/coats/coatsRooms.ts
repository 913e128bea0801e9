import type { Site } from '@/core/readiness/siteOf';
import type { Room } from '@/core/room/schema';
import { type Packed, packed } from '@/ui/packed';
import type { MethodRoom } from './useMethod';

export interface CoatsRoom extends MethodRoom {
  /** Walls, ceilings and soffits by id. */
  readonly faces: readonly { readonly id: string; readonly place: string }[];
  readonly room: Room;
}

/** A site stays the same until something of its house changes; with it what is sent of its rooms. */
const sent = new WeakMap<Site, Packed<readonly CoatsRoom[]>>();

/** The rooms as the Coats need them: with what is on them, and the faces that may have a level of their own. */
export function coatsRooms(site: Site, versions: Readonly<Record<string, number>>): Packed<readonly CoatsRoom[]> {
  const text =
    sent.get(site) ??
    packed<readonly CoatsRoom[]>(
      site.rooms.map(({ room, tally, faces }) => ({
        room,
        tally,
        version: versions[room.id] ?? 1,
        faces: faces
          .filter(({ kind }) => kind === 'wall' || kind === 'ceiling' || kind === 'soffit')
          .map(({ id, place }) => ({ id, place })),
      })),
    );
  sent.set(site, text);
  return text;
}
