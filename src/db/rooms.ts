import { Op, type Transaction } from 'sequelize';
import { takeParts } from '../core/house/compareHouse';
import { type HouseHead, MOST_ROOMS } from '../core/house/schema';
import type { Room } from '../core/room/schema';
import { type Change, isIn, withChange } from './chain';
import { firm } from './firm';
import { lockHouse, withRoom } from './houses';
import { type HouseRow, models, type RoomRow } from './models';
import { readRoom } from './readRoom';

/** Runs while nobody else can change which rooms a house has; undefined when the house is gone. */
async function withRooms<Value>(
  houseId: string,
  run: (rooms: readonly RoomRow[], transaction: Transaction, house: HouseRow) => Promise<Value>,
): Promise<Value | undefined> {
  const { sequelize, RoomRow } = models();
  return sequelize.transaction(async (transaction) => {
    const house = await lockHouse(houseId, transaction);
    if (!house) return undefined;
    const rows = await RoomRow.findAll({ where: { houseId }, order: ['position', 'id'], transaction });
    return run(rows, transaction, house);
  });
}

/**
 * Adds rooms after another one, or at the end; their ids are made from their names and are unique in the house.
 *
 * @returns the rooms with their ids, `full` when the house would hold too many, or undefined when it is gone
 */
export function addRooms(
  houseId: string,
  rooms: readonly Omit<Room, 'id'>[],
  after?: string,
): Promise<readonly Room[] | 'full' | undefined> {
  return withRooms(houseId, async (rows, transaction) =>
    hasPlace(rows, rooms.length) ? insertRooms(houseId, rows, rooms, transaction, after) : 'full',
  );
}

const hasPlace = (rows: readonly RoomRow[], more: number): boolean =>
  rows.filter(({ removedAt }) => !removedAt).length + more <= MOST_ROOMS;

async function insertRooms(
  houseId: string,
  rows: readonly RoomRow[],
  rooms: readonly Omit<Room, 'id'>[],
  transaction: Transaction,
  after?: string,
): Promise<readonly Room[]> {
  const taken = new Set(rows.map(({ id }) => id));
  const before = rows.findIndex(({ id }) => id === after);
  const start = before < 0 ? rows.length : before + 1;
  const added = rooms.map((room): Room => {
    const id = freeId(room.name, taken);
    taken.add(id);
    return { ...room, id };
  });
  await models().RoomRow.bulkCreate(
    added.map((room, index) => ({ houseId, id: room.id, position: start + index, room })),
    { transaction },
  );
  const moved = rows.map((row, index) => ({ row, position: index < start ? index : index + added.length }));
  await setPositions(houseId, moved, transaction);
  return added;
}

/** What is taken over of a house file, over the versions that were seen. */
export interface Merge {
  readonly added: readonly Omit<Room, 'id'>[];
  readonly changed: readonly {
    readonly room: Room;
    readonly version: number;
    readonly parts?: readonly (keyof Room)[] | undefined;
  }[];
  readonly removed: readonly { readonly room: string; readonly version: number }[];
  readonly head: ({ readonly version: number } & Partial<Pick<HouseHead, 'method' | 'hang'>>) | undefined;
}

/** Takes over what was chosen of a house file: all of it, or nothing where one version is newer. */
export async function mergeHouse(
  houseId: string,
  { added, changed, removed, head }: Merge,
  removedAt: Date,
): Promise<boolean> {
  const done = await withRooms(houseId, async (rows, transaction, house) => {
    const rowOf = (id: string, version: number) =>
      rows.find((row) => row.id === id && row.version === version && !row.removedAt);
    const over = changed.map(({ room, version, parts }) => {
      const row = rowOf(room.id, version);
      return { row, room: row && takeParts(row.room, room, parts) };
    });
    const away = removed.map(({ room, version }) => rowOf(room, version));
    if (over.some(({ row }) => !row) || away.includes(undefined)) return false;
    if (head && head.version !== house.version) return false;
    for (const { room, row } of over) await row?.update({ room, version: row.version + 1, chain: [] }, { transaction });
    for (const row of away) await row?.update({ removedAt }, { transaction });
    if (head) {
      const { version: _version, ...choices } = head;
      await house.update(
        { head: { ...house.head, ...choices }, version: house.version + 1, headChain: [] },
        { transaction },
      );
    }
    if (!hasPlace(rows, added.length - away.length)) return false;
    if (added.length > 0) await insertRooms(houseId, rows, added, transaction);
    return true;
  });
  return done ?? false;
}

/** Removes a room, or brings it back; its entries stay in the log. False when there is no such room, `full` when there is no place for it. */
export async function setRemoved(houseId: string, id: string, removedAt: Date | null): Promise<boolean | 'full'> {
  const done = await withRooms(houseId, async (rows, transaction) => {
    const isBack = removedAt === null && rows.some((row) => row.id === id && row.removedAt);
    if (isBack && !hasPlace(rows, 1)) return 'full';
    const [count] = await models().RoomRow.update({ removedAt }, { where: { houseId, id }, transaction });
    return count > 0;
  });
  return done ?? false;
}

/** Returns those of some rooms that are removed, with when, ms since 1970. */
export async function removedRooms(
  houseId: string,
  ids: readonly string[],
): Promise<readonly { readonly id: string; readonly name: string; readonly removedAt: number }[]> {
  const rows = await models().RoomRow.findAll({ where: { houseId, id: [...ids], removedAt: { [Op.ne]: null } } });
  return rows.flatMap(({ id, room, removedAt }) =>
    removedAt ? [{ id, name: room.name ?? id, removedAt: removedAt.getTime() }] : [],
  );
}

/**
 * Puts the rooms in a new order, each on its floor.
 *
 * @returns false when the rooms named are not those of the house
 */
export async function arrangeRooms(
  houseId: string,
  order: readonly { readonly room: string; readonly floor: string }[],
  change: Change,
): Promise<boolean> {
  const done = await withRooms(houseId, async (rows, transaction, house) => {
    if (isIn(house.orderChain, change)) return true;
    const { unit } = house.head;
    const present = rows.filter(({ removedAt, room }) => !removedAt && readRoom(room, unit));
    const names = new Set(order.map(({ room }) => room));
    if (names.size !== present.length || present.some(({ id }) => !names.has(id))) return false;
    const moved = order.flatMap(({ room: id, floor }, position) => {
      const row = present.find((candidate) => candidate.id === id);
      return row ? [{ row, position, floor }] : [];
    });
    await setPositions(houseId, moved, transaction);
    for (const { row, floor } of moved.filter(({ row: { room }, floor: next }) => room.floor !== next))
      await row.update({ room: { ...row.room, floor }, version: row.version + 1, chain: [] }, { transaction });
    await house.update({ orderChain: withChange(change) }, { transaction });
    return true;
  });
  return done ?? false;
}

/**
 * Puts a room at a place of its floor plan, in the house's unit; false when there is no such room. Its version stays:
 * whoever edits the room says nothing of its place, and saving keeps it.
 */
export async function placeRoom(
  houseId: string,
  id: string,
  at: readonly [number, number],
  change: Change,
): Promise<boolean> {
  const placed = await withRoom(houseId, id, async (row, transaction) => {
    if (isIn(row.placeChain, change)) return true;
    const room = { ...row.room, at: [at[0], at[1]] satisfies [number, number] };
    await row.update({ room, placeChain: withChange(change) }, { transaction });
    return true;
  });
  return placed ?? false;
}

/** One statement, however many rooms move. */
async function setPositions(
  houseId: string,
  moved: readonly { readonly row: RoomRow; readonly position: number }[],
  transaction: Transaction,
): Promise<void> {
  const changed = moved.filter(({ row, position }) => row.position !== position);
  if (changed.length === 0) return;
  await models().sequelize.query(
    `UPDATE rooms SET position = moved.position
       FROM unnest($ids::text[], $positions::integer[]) AS moved (id, position)
      WHERE rooms.firm = $firm AND rooms.house_id = $houseId AND rooms.id = moved.id`,
    {
      bind: {
        firm: firm(),
        houseId,
        ids: changed.map(({ row }) => row.id),
        positions: changed.map(({ position }) => position),
      },
      transaction,
    },
  );
}

function freeId(name: string, taken: ReadonlySet<string>): string {
  const stem =
    name
      .toLowerCase()
      .normalize('NFKD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 50) || 'room';
  // A field that every object has is no id.
  if (!taken.has(stem) && !(stem in Object.prototype)) return stem;
  let number = 2;
  while (taken.has(`${stem}-${number}`)) number += 1;
  return `${stem}-${number}`;
}
