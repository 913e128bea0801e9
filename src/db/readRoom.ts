import { createHash } from 'node:crypto';
import { LRUCache } from 'lru-cache';
import type { LengthUnit } from '../core/measure/unit';
import { withIds } from '../core/room/ids';
import { type Room, roomSchema } from '../core/room/schema';

/** What was read before, by its content: a room, or false where the document is none. */
const known = new LRUCache<string, Room | false>({ max: 4000 });

/**
 * A room from the document that was stored of it, brought to the present form; undefined for what is no room (written by
 * another version, or by hand). What was read once is the same room again.
 *
 * @param unit of its house
 */
export function readRoom(document: unknown, unit: LengthUnit): Room | undefined {
  const key = createHash('sha1')
    .update(JSON.stringify([document, unit]))
    .digest('base64');
  let room = known.get(key);
  if (room === undefined) {
    const { data } = roomSchema.safeParse(document);
    room = data ? withIds(data, unit) : false;
    known.set(key, room);
  }
  return room || undefined;
}
