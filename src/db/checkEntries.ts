import type { Transaction } from 'sequelize';
import type { HouseHead } from '../core/house/schema';
import type { Piece } from '../core/joints/pieces';
import type { Covered, NewEntry } from '../core/log/entry';
import { cachedMethod } from '../core/method/cachedMethod';
import { methodOfRoom } from '../core/method/resolveMethod';
import { facesOf } from '../core/room/faces/facesOf';
import type { Problem } from '../core/room/problem';
import type { Room } from '../core/room/schema';
import { coveredBy } from '../core/standing/coveredBy';
import { type HouseRow, models } from './models';
import { readRoom } from './readRoom';

/** The pieces of some rooms of a house; of those that cannot be worked out there are none. */
export type PiecesOf = (head: HouseHead, rooms: readonly Room[]) => Promise<ReadonlyMap<Room, readonly Piece[]>>;

type Found =
  | { readonly ok: true; readonly on?: readonly Covered[] }
  | { readonly ok: false; readonly problem: Problem };

const ranBy = ({ payload }: NewEntry): readonly string[] => ('ranBy' in payload ? payload.ranBy : undefined) ?? [];
const handedTo = (entry: NewEntry): readonly string[] => (entry.kind === 'assigned' ? entry.payload.people : []);

/**
 * Looks up whom and what entries name: of each either what its coat lies on, or what it names that is not there; the path is
 * within the entry. Only new entries are to be looked at: what was recorded stays true when a wall or a person is gone.
 */
export async function checkEntries(
  entries: readonly NewEntry[],
  house: HouseRow,
  piecesOf: PiecesOf,
  transaction: Transaction,
): Promise<(entry: NewEntry) => Found> {
  const crew = await crewAmong(entries, transaction);
  const rooms = await roomsCoated(entries, house, piecesOf, transaction);
  const refused = (path: string, reason: string): Found => ({ ok: false, problem: { path, reason } });
  return (entry) => {
    if (ranBy(entry).some((person) => !crew.has(person)))
      return refused('payload.ranBy', 'names somebody who is not on the crew');
    if (handedTo(entry).some((person) => !crew.has(person)))
      return refused('payload.people', 'names somebody who is not on the crew');
    const there = entry.kind === 'coat' ? rooms.get(entry.room) : undefined;
    if (entry.kind !== 'coat' || !there) return { ok: true };
    const { room, faces, pieces } = there;
    const named = entry.payload.faces ?? [];
    const strange = named.findIndex((face) => !faces().has(face));
    if (strange >= 0) return refused(`payload.faces[${strange}]`, `the room has no face "${named[strange]}"`);
    if (!pieces) {
      return entry.payload.pieces
        ? refused('payload.pieces', 'the room is too large to work out, so nobody knows its pieces')
        : { ok: true };
    }
    return coveredBy(entry.payload, pieces, methodOfRoom(house.head, room, cachedMethod(house.head)), room.finish);
  };
}

/** Of the people who ran something by these entries those who work in this firm, or did. */
async function crewAmong(entries: readonly NewEntry[], transaction: Transaction): Promise<ReadonlySet<string>> {
  const id = [...new Set(entries.flatMap((entry) => [...ranBy(entry), ...handedTo(entry)]))];
  if (id.length === 0) return new Set();
  const people = await models().PersonRow.findAll({ where: { id, role: ['lead', 'finisher'] }, transaction });
  return new Set(people.map((person) => person.id));
}

interface Coated {
  readonly room: Room;
  readonly faces: () => ReadonlySet<string>;
  /** Undefined when the room cannot be worked out. */
  readonly pieces: readonly Piece[] | undefined;
}

/** The rooms in which something was put on by these entries, with their faces and pieces as they are now. */
async function roomsCoated(
  entries: readonly NewEntry[],
  { id: houseId, head }: HouseRow,
  piecesOf: PiecesOf,
  transaction: Transaction,
): Promise<ReadonlyMap<string, Coated>> {
  const id = [...new Set(entries.flatMap((entry) => (entry.kind === 'coat' ? [entry.room] : [])))];
  if (id.length === 0) return new Map();
  const rows = await models().RoomRow.findAll({ where: { houseId, id }, transaction });
  const rooms = rows.flatMap((row) => readRoom(row.room, head.unit) ?? []);
  const pieces = await piecesOf(head, rooms);
  return new Map(
    rooms.map((room) => {
      let faces: ReadonlySet<string> | undefined;
      const own = () => {
        faces ??= new Set(facesOf(room, head.unit).map((face) => face.id));
        return faces;
      };
      return [room.id, { room, faces: own, pieces: pieces.get(room) }];
    }),
  );
}
