import type { Transaction } from 'sequelize';
import type { HouseHead } from '../core/house/schema';
import type { Piece } from '../core/joints/pieces';
import type { Covered, NewEntry, PutOn } from '../core/log/entry';
import { isInside } from '../core/measure/chords';
import { distanceToStep, stepsOf } from '../core/measure/polygon';
import type { Point } from '../core/measure/vector';
import { cachedMethod } from '../core/method/cachedMethod';
import { methodOfRoom } from '../core/method/resolveMethod';
import type { Face } from '../core/room/faces/face';
import { facesOf } from '../core/room/faces/facesOf';
import type { Problem } from '../core/room/problem';
import type { Room } from '../core/room/schema';
import { coveredBy, putOnBy } from '../core/standing/coveredBy';
import { type HouseRow, models } from './models';
import { photosAmong } from './photos';
import { readRoom } from './readRoom';

/** The pieces of some rooms of a house; of those that cannot be worked out there are none. */
export type PiecesOf = (head: HouseHead, rooms: readonly Room[]) => Promise<ReadonlyMap<Room, readonly Piece[]>>;

type Found =
  | { readonly ok: true; readonly on?: readonly Covered[]; readonly put?: PutOn }
  | { readonly ok: false; readonly problem: Problem };

const ranBy = ({ payload }: NewEntry): readonly string[] => ('ranBy' in payload ? payload.ranBy : undefined) ?? [];
const photosOf = ({ payload }: NewEntry): readonly string[] => ('photos' in payload ? payload.photos : undefined) ?? [];
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
  const rooms = await roomsNamed(entries, house, piecesOf, transaction);
  const photos = await photosAmong([...new Set(entries.flatMap(photosOf))], house.id, transaction);
  const refused = (path: string, reason: string): Found => ({ ok: false, problem: { path, reason } });
  return (entry) => {
    if (ranBy(entry).some((person) => !crew.has(person)))
      return refused('payload.ranBy', 'names somebody who is not on the crew');
    if (handedTo(entry).some((person) => !crew.has(person)))
      return refused('payload.people', 'names somebody who is not on the crew');
    const strangePhoto = photosOf(entry).findIndex((photo) => !photos.has(photo));
    if (strangePhoto >= 0) return refused(`payload.photos[${strangePhoto}]`, 'is no photo of this house');
    const there = entry.room === null ? undefined : rooms.get(entry.room);
    if (!there) return { ok: true };
    if (entry.kind === 'item') return placeIn(entry.payload, there, refused);
    const { room, faces, pieces } = there;
    const named = facesOn(entry);
    const strange = named.findIndex((face) => !faces().has(face));
    if (strange >= 0) return refused(`payload.faces[${strange}]`, `the room has no face "${named[strange]}"`);
    if (entry.kind !== 'coat') return { ok: true };
    if (!pieces) {
      return entry.payload.pieces
        ? refused('payload.pieces', 'the room is too large to work out, so nobody knows its pieces')
        : { ok: true };
    }
    const method = methodOfRoom(house.head, room, cachedMethod(house.head));
    const found = coveredBy(entry.payload, pieces, method, room.finish);
    return found.ok ? { ...found, put: putOnBy(entry.payload, method) } : found;
  };
}

const asksForRoom = (entry: NewEntry): boolean =>
  entry.kind === 'coat' ||
  facesOn(entry).length > 0 ||
  (entry.kind === 'item' && (entry.payload.face ?? entry.payload.piece) !== undefined);

/** The faces on which something was done or found, where an entry names them. */
const facesOn = (entry: NewEntry): readonly string[] => ('faces' in entry.payload && entry.payload.faces) || [];

/** Of the people who ran something by these entries those who work in this firm, or did. */
async function crewAmong(entries: readonly NewEntry[], transaction: Transaction): Promise<ReadonlySet<string>> {
  const id = [...new Set(entries.flatMap((entry) => [...ranBy(entry), ...handedTo(entry)]))];
  if (id.length === 0) return new Set();
  const people = await models().PersonRow.findAll({ where: { id, role: ['lead', 'finisher'] }, transaction });
  return new Set(people.map((person) => person.id));
}

interface Named {
  readonly room: Room;
  readonly faces: () => ReadonlyMap<string, Face>;
  /** Undefined when the room cannot be worked out. */
  readonly pieces: readonly Piece[] | undefined;
}

/** Whether something that is wrong lies where it is said to: on a face of the room, on one of its pieces. */
function placeIn(
  { face, place, piece }: Extract<NewEntry, { kind: 'item' }>['payload'],
  { faces, pieces }: Named,
  refused: (path: string, reason: string) => Found,
): Found {
  const own = face === undefined ? undefined : faces().get(face);
  if (face !== undefined && !own) return refused('payload.face', `the room has no face "${face}"`);
  if (own && place && !isInside(place, own.loops) && farFrom(own, place) > RIM_MM)
    return refused('payload.place', 'lies off its face');
  if (piece !== undefined && pieces && !pieces.some(({ id }) => id === piece))
    return refused('payload.piece', `the room has no piece "${piece}"`);
  return { ok: true };
}

/** A thumb is as wide as this: what is tapped beside an edge lies on it. */
const RIM_MM = 100;
const farFrom = ({ loops }: Face, place: Point): number =>
  Math.min(...loops.flatMap((loop) => stepsOf(loop).map((step) => distanceToStep(place, step))));

/** The rooms of whose faces or pieces something is said by these entries, with their faces and pieces as they are now. */
async function roomsNamed(
  entries: readonly NewEntry[],
  { id: houseId, head }: HouseRow,
  piecesOf: PiecesOf,
  transaction: Transaction,
): Promise<ReadonlyMap<string, Named>> {
  const id = [...new Set(entries.flatMap((entry) => (asksForRoom(entry) && entry.room !== null ? [entry.room] : [])))];
  if (id.length === 0) return new Map();
  const rows = await models().RoomRow.findAll({ where: { houseId, id }, transaction });
  const rooms = rows.flatMap((row) => readRoom(row.room, head.unit) ?? []);
  const pieces = await piecesOf(head, rooms);
  return new Map(
    rooms.map((room) => {
      let faces: ReadonlyMap<string, Face> | undefined;
      const own = () => {
        faces ??= new Map(facesOf(room, head.unit).map((face) => [face.id, face]));
        return faces;
      };
      return [room.id, { room, faces: own, pieces: pieces.get(room) }];
    }),
  );
}
