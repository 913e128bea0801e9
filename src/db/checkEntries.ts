import type { Transaction } from 'sequelize';
import { facesOf } from '../core/house/faces/facesOf';
import type { Problem } from '../core/house/problem';
import type { NewEntry } from '../core/log/entry';
import { type HouseRow, models } from './models';
import { readRoom } from './readRoom';

const ranBy = ({ payload }: NewEntry): readonly string[] => ('ranBy' in payload ? payload.ranBy : undefined) ?? [];
const facesNamed = (entry: NewEntry): readonly string[] =>
  (entry.kind === 'coat' ? entry.payload.faces : undefined) ?? [];

/**
 * Looks up whom and which faces entries name, and says of one what it names and is not there; the path is within the entry.
 * Only new entries are to be looked at: what was recorded stays true when a wall or a person is gone.
 */
export async function checkEntries(
  entries: readonly NewEntry[],
  house: HouseRow,
  transaction: Transaction,
): Promise<(entry: NewEntry) => Problem | undefined> {
  const [crew, faces] = [await crewAmong(entries, transaction), await facesAmong(entries, house, transaction)];
  return (entry) => {
    if (ranBy(entry).some((person) => !crew.has(person)))
      return { path: 'payload.ranBy', reason: 'names somebody who is not on the crew' };
    const named = facesNamed(entry);
    const place = named.findIndex((face) => !faces.get(entry.room ?? '')?.has(face));
    return place < 0
      ? undefined
      : { path: `payload.faces[${place}]`, reason: `the room has no face "${named[place]}"` };
  };
}

/** Of the people who ran something by these entries those who work in this firm, or did. */
async function crewAmong(entries: readonly NewEntry[], transaction: Transaction): Promise<ReadonlySet<string>> {
  const id = [...new Set(entries.flatMap(ranBy))];
  if (id.length === 0) return new Set();
  const people = await models().PersonRow.findAll({ where: { id, role: ['lead', 'finisher'] }, transaction });
  return new Set(people.map((person) => person.id));
}

/** The faces of the rooms of which these entries name some. */
async function facesAmong(
  entries: readonly NewEntry[],
  { id: houseId, head: { unit } }: HouseRow,
  transaction: Transaction,
): Promise<ReadonlyMap<string, ReadonlySet<string>>> {
  const id = [...new Set(entries.flatMap((entry) => (facesNamed(entry).length > 0 ? (entry.room ?? []) : [])))];
  if (id.length === 0) return new Map();
  const rows = await models().RoomRow.findAll({ where: { houseId, id }, transaction });
  return new Map(
    rows.map((row) => {
      const room = readRoom(row.room, unit);
      return [row.id, new Set(room ? facesOf(room, unit).map((face) => face.id) : [])];
    }),
  );
}
