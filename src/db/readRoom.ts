import { createHash } from 'node:crypto';
import { LRUCache } from 'lru-cache';
import { type Room, roomSchema } from '../core/house/schema';

/** What was read before, by its content: a room, or false where the document is none. */
const known = new LRUCache<string, Room | false>({ max: 4000 });

/**
 * A room from the document that was stored of it; undefined for what is no room of this version (written by another one, or
 * by hand). What was read once is the same room again.
 */
export function readRoom(document: unknown): Room | undefined {
  const key = createHash('sha1').update(JSON.stringify(document)).digest('base64');
  let room = known.get(key);
  if (room === undefined) {
    room = roomSchema.safeParse(document).data ?? false;
    known.set(key, room);
  }
  return room || undefined;
}
