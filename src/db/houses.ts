import type { Transaction } from 'sequelize';
import type { MethodChoices } from '../core/house/methodSchema';
import type { House, HouseHead, Room } from '../core/house/schema';
import { withMethod } from '../core/house/withMethod';
import { type HouseRow, models, type RoomRow } from './models';

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
  readonly rooms: readonly StoredRoom[];
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

/** How far houses have come: all of them, or one. */
export async function listMarks(id?: string): Promise<Readonly<Record<string, HouseMark>>> {
  const rows = await models().HouseRow.findAll({
    attributes: ['id', 'nextSeq', 'airSeq', 'roomsSeq'],
    ...(id === undefined ? {} : { where: { id } }),
  });
  return Object.fromEntries(
    rows.map((row) => [row.id, { seq: row.nextSeq - 1, air: row.airSeq, rooms: row.roomsSeq }]),
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
    roomsSeq: row.roomsSeq,
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
export function saveRoom(houseId: string, version: number, room: Room): Promise<RoomSave> {
  return saveOver(houseId, version, room.id, ({ at, method }) => ({
    ...room,
    ...(at && { at }),
    ...(method && { method }),
  }));
}

/** Saves how one room is finished over the version that was seen; without choices it goes by the house again. */
export function saveRoomMethod(
  houseId: string,
  version: number,
  id: string,
  method: MethodChoices | null,
): Promise<RoomSave> {
  return saveOver(houseId, version, id, (room) => withMethod(room, method));
}

async function saveOver(
  houseId: string,
  version: number,
  id: string,
  change: (stored: Room) => Room,
): Promise<RoomSave> {
  const save = await withRoom(houseId, id, async (row, transaction): Promise<RoomSave> => {
    if (row.version !== version) return { kind: 'stale', theirs: { room: row.room, version: row.version } };
    await row.update({ room: change(row.room), version: version + 1 }, { transaction });
    return { kind: 'saved', version: version + 1 };
  });
  return save ?? { kind: 'gone' };
}

/** The house's row, locked until the transaction ends. */
export const lockHouse = (id: string, transaction: Transaction): Promise<HouseRow | null> =>
  models().HouseRow.findByPk(id, { transaction, lock: transaction.LOCK.UPDATE });

/**
 * Runs on a room of a house while nobody else can change the house's rooms: every writer of a room takes the house's lock
 * first, so that none writes an old copy back. Undefined when the room is gone.
 */
export async function withRoom<Value>(
  houseId: string,
  id: string,
  run: (row: RoomRow, transaction: Transaction) => Promise<Value>,
): Promise<Value | undefined> {
  const { sequelize, RoomRow } = models();
  return sequelize.transaction(async (transaction) => {
    if (!(await lockHouse(houseId, transaction))) return undefined;
    const row = await RoomRow.findOne({ where: { houseId, id, removedAt: null }, transaction });
    return row ? run(row, transaction) : undefined;
  });
}
