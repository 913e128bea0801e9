import { QueryTypes, type Transaction } from 'sequelize';
import type { MethodChoices } from '../core/house/methodSchema';
import type { House, HouseHead, Room } from '../core/house/schema';
import { withMethod } from '../core/house/withMethod';
import { type HouseRow, models } from './models';

/** A house with its rooms and their versions. */
export interface StoredHouse {
  readonly id: string;
  readonly head: HouseHead;
  readonly timeZone: string;
  readonly version: number;
  /** The log and the readings have come so far. */
  readonly seq: number;
  readonly airSeq: number;
  readonly weatherUrl: string | null;
  readonly rooms: readonly StoredRoom[];
}
export interface StoredRoom {
  readonly room: Room;
  readonly version: number;
}

/** How far a house has come: its log, what was measured and forecast, and its plan. A page that knows less is behind. */
export interface HouseMark {
  readonly seq: number;
  readonly air: number;
  readonly plan: string;
}

export const markOf = ({ seq, airSeq, version, rooms }: StoredHouse): HouseMark => ({
  seq,
  air: airSeq,
  plan: planMark(
    version,
    rooms.length,
    rooms.reduce((sum, room) => sum + room.version, 0),
  ),
});

const planMark = (version: number, rooms: number, versions: number): string => `${version}.${rooms}.${versions}`;

/** How far houses have come: all of them, or one. */
export async function listMarks(id?: string): Promise<Readonly<Record<string, HouseMark>>> {
  const rows = await models().sequelize.query<{
    id: string;
    seq: number;
    air: number;
    version: number;
    rooms: number;
    versions: number;
  }>(
    `SELECT houses.id, next_seq - 1 AS seq, air_seq AS air, houses.version,
       count(rooms.id)::int AS rooms, coalesce(sum(rooms.version), 0)::int AS versions
     FROM houses LEFT JOIN rooms ON rooms.house_id = houses.id AND removed_at IS NULL
     WHERE $1::uuid IS NULL OR houses.id = $1 GROUP BY houses.id`,
    { type: QueryTypes.SELECT, bind: [id ?? null] },
  );
  return Object.fromEntries(
    rows.map((row) => [row.id, { seq: row.seq, air: row.air, plan: planMark(row.version, row.rooms, row.versions) }]),
  );
}

/** What became of a save: saved, or refused because somebody saved in between. */
export type RoomSave =
  | { readonly kind: 'saved'; readonly version: number }
  | { readonly kind: 'stale'; readonly theirs: StoredRoom }
  | { readonly kind: 'gone' };

/** The names of all houses, for the switcher. */
export async function listHouses(): Promise<readonly { readonly id: string; readonly name: string }[]> {
  const rows = await models().HouseRow.findAll({ attributes: ['id', 'head'] });
  return rows.map(({ id, head }) => ({ id, name: head.name })).sort((a, b) => a.name.localeCompare(b.name));
}

/** A house with its rooms in order, or undefined. */
export async function findHouse(id: string): Promise<StoredHouse | undefined> {
  const { HouseRow, RoomRow } = models();
  const row = await HouseRow.findByPk(id);
  if (!row) return undefined;
  const rooms = await RoomRow.findAll({ where: { houseId: id, removedAt: null }, order: ['position', 'id'] });
  return {
    id,
    head: row.head,
    timeZone: row.timeZone,
    version: row.version,
    seq: row.nextSeq - 1,
    airSeq: row.airSeq,
    weatherUrl: row.weatherUrl,
    rooms: rooms.map(({ room, version }) => ({ room, version })),
  };
}

/** Adds a house from a checked house file; returns its id. */
export async function addHouse(
  { format: _format, version: _version, rooms, ...head }: House,
  timeZone: string,
): Promise<string> {
  const { sequelize, HouseRow, RoomRow } = models();
  return sequelize.transaction(async (transaction) => {
    const { id } = await HouseRow.create({ head, timeZone }, { transaction });
    await RoomRow.bulkCreate(
      rooms.map((room, position) => ({ houseId: id, id: room.id, position, room })),
      { transaction },
    );
    return id;
  });
}

/** Saves what rooms take their defaults from; false when the version is no longer current. */
export async function saveHouseHead(
  id: string,
  version: number,
  change: (head: HouseHead) => HouseHead,
): Promise<boolean> {
  return models().sequelize.transaction(async (transaction) => {
    const row = await lockHouse(id, transaction);
    if (!row || row.version !== version) return false;
    await row.update({ head: change(row.head), version: version + 1 }, { transaction });
    return true;
  });
}

/**
 * Saves a room over the version that its editor saw; a newer one is never overwritten. Its place on the plan and the way it
 * is finished stay: they are not the room's editor's to say.
 */
export async function saveRoom(houseId: string, version: number, room: Room): Promise<RoomSave> {
  const { sequelize, RoomRow } = models();
  return sequelize.transaction(async (transaction): Promise<RoomSave> => {
    const row = await RoomRow.findOne({
      where: { houseId, id: room.id, removedAt: null },
      transaction,
      lock: transaction.LOCK.UPDATE,
    });
    if (!row) return { kind: 'gone' };
    if (row.version !== version) return { kind: 'stale', theirs: { room: row.room, version: row.version } };
    const { at, method } = row.room;
    const kept = { ...(at && { at }), ...(method && { method }) };
    await row.update({ room: { ...room, ...kept }, version: version + 1 }, { transaction });
    return { kind: 'saved', version: version + 1 };
  });
}

/** The house's row, locked until the transaction ends. */
export const lockHouse = (id: string, transaction: Transaction): Promise<HouseRow | null> =>
  models().HouseRow.findByPk(id, { transaction, lock: transaction.LOCK.UPDATE });

/** Saves how one room is finished over the version that was seen; without choices it goes by the house again. */
export async function saveRoomMethod(
  houseId: string,
  version: number,
  id: string,
  method: MethodChoices | null,
): Promise<RoomSave> {
  const { sequelize, RoomRow } = models();
  return sequelize.transaction(async (transaction): Promise<RoomSave> => {
    const row = await RoomRow.findOne({
      where: { houseId, id, removedAt: null },
      transaction,
      lock: transaction.LOCK.UPDATE,
    });
    if (!row) return { kind: 'gone' };
    if (row.version !== version) return { kind: 'stale', theirs: { room: row.room, version: row.version } };
    await row.update({ room: withMethod(row.room, method), version: version + 1 }, { transaction });
    return { kind: 'saved', version: version + 1 };
  });
}
