import { facesOf } from '../core/house/faces/facesOf';
import type { Problem } from '../core/house/problem';
import type { NewEntry } from '../core/log/entry';
import { findHouse } from '../db/houses';

/** The first face that an entry names and its room does not have; undefined when there is none, or no such room. */
export async function faceOfNone(houseId: string, entries: readonly NewEntry[]): Promise<Problem | undefined> {
  const saidOf = (entry: NewEntry) => (entry.kind === 'coat' ? (entry.payload.faces ?? []) : []);
  if (entries.every((entry) => saidOf(entry).length === 0)) return undefined;
  const house = await findHouse(houseId);
  const faces = new Map<string, ReadonlySet<string>>();
  for (const [index, entry] of entries.entries()) {
    const room = house?.rooms.find((candidate) => candidate.room.id === entry.room)?.room;
    if (!house || !room || saidOf(entry).length === 0) continue;
    const known = faces.get(room.id) ?? new Set(facesOf(room, house.head.unit).map(({ id }) => id));
    faces.set(room.id, known);
    const place = saidOf(entry).findIndex((face) => !known.has(face));
    if (place >= 0)
      return {
        path: `entries[${index}].payload.faces[${place}]`,
        reason: `the room has no face "${saidOf(entry)[place]}"`,
      };
  }
  return undefined;
}
