import { setImmediate } from 'node:timers/promises';
import { LRUCache } from 'lru-cache';
import { QueryTypes, type Transaction } from 'sequelize';
import type { House, HouseHead } from '../core/house/schema';
import type { MethodChoices } from '../core/room/methodSchema';
import type { Room } from '../core/room/schema';
import { withMethod } from '../core/room/withMethod';
import type { PaintersDates } from '../core/work/painters';
import { type Change, isIn, isOver, withChange } from './chain';
import { firm } from './firm';
import { type HouseRow, models, type RoomRow } from './models';
import type { Member } from './people';
import { readRoom } from './readRoom';

/** A house with its rooms and their versions. */
export interface StoredHouse {
  readonly id: string;
  readonly head: HouseHead;
  readonly timeZone: string;
  readonly version: number;
  /** The log, the readings and the rooms have come so far. */
  readonly seq: number;
  readonly airSeq: number;
  readonly roomsSeq: number;
  readonly weatherUrl: string | null;
  readonly dates: PaintersDates;
  readonly rooms: readonly StoredRoom[];
  /** Rooms whose document is none: the rest of the house goes on without them. */
  readonly unreadable: readonly string[];
}
export interface StoredRoom {
  readonly room: Room;
  readonly version: number;
}

/** How far a house has come: its log, what was measured and forecast, and its rooms. A page that knows less is behind. */
export interface HouseMark {
  readonly seq: number;
  readonly air: number;
  readonly rooms: number;
}

export const markOf = ({ seq, airSeq, roomsSeq }: StoredHouse): HouseMark => ({ seq, air: airSeq, rooms: roomsSeq });

/** A mark with whom it may be told. */
interface OpenMark {
  readonly id: string;
  readonly firm: string;
  readonly viewers: readonly string[];
  readonly mark: HouseMark;
}

const ROOMS_AT_ONCE = 200;

/** How far houses have come: all of them, or one. It is for the server, which tells each only what is theirs. */
export async function listMarks(id?: string): Promise<readonly OpenMark[]> {
  const rows = await models().sequelize.query<Omit<OpenMark, 'mark'> & HouseMark>(
    `SELECT id, firm, next_seq - 1 AS seq, air_seq AS air, rooms_seq AS rooms, ARRAY(
       SELECT person_id FROM house_viewers WHERE house_viewers.firm = houses.firm AND house_id = houses.id
     )::text[] AS viewers
     FROM houses WHERE $1::uuid IS NULL OR id = $1`,
    { type: QueryTypes.SELECT, bind: [id ?? null] },
  );
  return rows.map(({ seq, air, rooms, ...own }) => ({ ...own, mark: { seq, air, rooms } }));
}

/** Of the marks of houses, those of the houses that are for somebody. */
export const marksFor = (member: Member, marks: readonly OpenMark[]): Readonly<Record<string, HouseMark>> =>
  Object.fromEntries(
    marks
      .filter(({ firm, viewers }) => firm === member.firm && (member.role !== 'viewer' || viewers.includes(member.id)))
      .map(({ id, mark }) => [id, mark]),
  );

/** What became of a save: saved, or refused because somebody saved in between. */
export type RoomSave =
  | { readonly kind: 'saved'; readonly version: number }
  | { readonly kind: 'stale'; readonly theirs: StoredRoom }
  | { readonly kind: 'gone' };

/** The names of the houses that are for somebody. */
export async function listHouses({
  id,
  role,
}: Member): Promise<readonly { readonly id: string; readonly name: string }[]> {
  const rows = await models().sequelize.query<{ readonly id: string; readonly name: string }>(
    `SELECT id, head ->> 'name' AS name FROM houses
     WHERE firm = $1 AND ($2 <> 'viewer' OR id IN (SELECT house_id FROM house_viewers WHERE firm = $1 AND person_id = $3))`,
    { type: QueryTypes.SELECT, bind: [firm(), role, id] },
  );
  return rows.toSorted((a, b) => a.name.localeCompare(b.name));
}

/** The ids of all houses of the firm. */
export async function allHouses(): Promise<readonly string[]> {
  const rows = await models().HouseRow.findAll({ attributes: ['id'], where: { firm: firm() } });
  return rows.map(({ id }) => id);
}

/** A house with its rooms in order, or undefined. */
export async function findHouse(id: string): Promise<StoredHouse | undefined> {
  const row = await models().HouseRow.findOne({ where: { id } });
  if (!row) return undefined;
  return {
    id,
    head: row.head,
    timeZone: row.timeZone,
    version: row.version,
    seq: row.nextSeq - 1,
    airSeq: row.airSeq,
    weatherUrl: row.weatherUrl,
    dates: row.dates,
    ...(await roomsOf(row)),
  };
}

/** So many rooms are checked in one go. */
const ROOMS_AT_A_TIME = 50;

type ReadRooms = Pick<StoredHouse, 'roomsSeq' | 'rooms' | 'unreadable'>;
/** The rooms of houses as they were read last; the database counts every change of them. */
const known = new LRUCache<string, ReadRooms>({ max: 50 });

async function roomsOf({ id, head, roomsSeq }: HouseRow): Promise<ReadRooms> {
  const before = known.get(id);
  if (before?.roomsSeq === roomsSeq) return before;
  const rows = await models().RoomRow.findAll({ where: { houseId: id, removedAt: null }, order: ['position', 'id'] });
  const rooms: { readonly id: string; readonly version: number; readonly room: Room | undefined }[] = [];
  for (const [index, own] of rows.entries()) {
    // Others are answered in between.
    if (index % ROOMS_AT_A_TIME === ROOMS_AT_A_TIME - 1) await setImmediate();
    rooms.push({ id: own.id, version: own.version, room: readRoom(own.room, head.unit) });
  }
  const read: ReadRooms = {
    roomsSeq,
    rooms: rooms.flatMap(({ room, version }) => (room ? [{ room, version }] : [])),
    unreadable: rooms.flatMap((own) => (own.room ? [] : [own.id])),
  };
  known.set(id, read);
  return read;
}

/** Adds a house from a checked house file; returns its id. */
export async function addHouse(
  { format: _format, version: _version, rooms, ...head }: House,
  timeZone: string,
): Promise<string> {
  const { sequelize, HouseRow, RoomRow } = models();
  return sequelize.transaction(async (transaction) => {
    const { id } = await HouseRow.create({ head, timeZone }, { transaction });
    const rows = rooms.map((room, position) => ({ houseId: id, id: room.id, position, room }));
    // A part at a time: writing a statement of two thousand rooms takes as long as others would wait.
    for (let from = 0; from < rows.length; from += ROOMS_AT_ONCE)
      await RoomRow.bulkCreate(rows.slice(from, from + ROOMS_AT_ONCE), { transaction });
    return id;
  });
}

/**
 * Saves what rooms take their defaults from, over the version that was seen or over the same hand's changes before.
 *
 * @returns the version that it makes, or undefined when somebody else saved in between
 */
export async function saveHouseHead(
  id: string,
  version: number,
  edit: (head: HouseHead) => HouseHead,
  change?: Change,
): Promise<number | undefined> {
  return models().sequelize.transaction(async (transaction) => {
    const row = await lockHouse(id, transaction);
    if (!row) return undefined;
    if (change && isIn(row.headChain, change)) return row.version;
    if (row.version !== version && !(change && isOver(row.headChain, change))) return undefined;
    const headChain = change ? withChange(change) : [];
    await row.update({ head: edit(row.head), version: row.version + 1, headChain }, { transaction });
    return row.version;
  });
}

/**
 * Saves a room over the version that its editor saw; a newer one is never overwritten. Its place on the plan and the way it
 * is finished stay: they are not the room's editor's to say.
 */
export function saveRoom(houseId: string, version: number, room: Room): Promise<RoomSave> {
  return saveOver(houseId, version, room.id, ({ at, method }) => ({
    ...room,
    ...(at && { at }),
    ...(method && { method }),
  }));
}

/**
 * Saves how one room is finished over the version that was seen, or over the same hand's changes before; without choices it
 * goes by the house again.
 */
export function saveRoomMethod(
  houseId: string,
  version: number,
  id: string,
  method: MethodChoices | null,
  change?: Change,
): Promise<RoomSave> {
  return saveOver(houseId, version, id, (room) => withMethod(room, method), change);
}

async function saveOver(
  houseId: string,
  version: number,
  id: string,
  edit: (stored: Room) => Room,
  change?: Change,
): Promise<RoomSave> {
  const save = await withRoom(houseId, id, async (row, transaction, { unit }): Promise<RoomSave> => {
    const stored = readRoom(row.room, unit);
    if (!stored) return { kind: 'gone' };
    if (change && isIn(row.chain, change)) return { kind: 'saved', version: row.version };
    if (row.version !== version && !(change && isOver(row.chain, change)))
      return { kind: 'stale', theirs: { room: stored, version: row.version } };
    const chain = change ? withChange(change) : [];
    await row.update({ room: edit(stored), version: row.version + 1, chain }, { transaction });
    return { kind: 'saved', version: row.version };
  });
  return save ?? { kind: 'gone' };
}

/** The house's row, locked until the transaction ends. */
export const lockHouse = (id: string, transaction: Transaction): Promise<HouseRow | null> =>
  models().HouseRow.findOne({ where: { id }, transaction, lock: transaction.LOCK.UPDATE });

/**
 * Runs on a room of a house while nobody else can change the house's rooms: every writer of a room takes the house's lock
 * first, so that none writes an old copy back. Undefined when the room is gone.
 */
export async function withRoom<Value>(
  houseId: string,
  id: string,
  run: (row: RoomRow, transaction: Transaction, head: HouseHead) => Promise<Value>,
): Promise<Value | undefined> {
  const { sequelize, RoomRow } = models();
  return sequelize.transaction(async (transaction) => {
    const house = await lockHouse(houseId, transaction);
    if (!house) return undefined;
    const row = await RoomRow.findOne({ where: { houseId, id, removedAt: null }, transaction });
    return row ? run(row, transaction, house.head) : undefined;
  });
}
