import { isDeepStrictEqual } from 'node:util';
import { Op, UniqueConstraintError } from 'sequelize';
import { takeOff } from '../core/joints/takeOff';
import { type Covered, ENTRY_KINDS, type Entry, type NewEntry, type PutOn } from '../core/log/entry';
import { ENTRY_VERSION, liftPayload } from '../core/log/liftEntry';
import type { Person, Role } from '../core/log/person';
import { isInTime } from '../core/measure/instant';
import type { Problem } from '../core/room/problem';
import { checkEntries, type PiecesOf } from './checkEntries';
import { now } from './clock';
import { inReading } from './firm';
import { handedSince } from './handedOut';
import { lockHouse } from './houses';
import { EntryRow, models } from './models';
import { type Ran, ranSince } from './ranSince';

/** What was found out of a coat when it was recorded. */
interface FoundOut {
  readonly on: readonly Covered[] | undefined;
  readonly put: PutOn | undefined;
}

/** How far the log and the rooms of a house had come when somebody looked. */
export interface SeenHouse {
  readonly seq: number;
  readonly rooms: number;
}

/** What became of entries sent: all recorded (some perhaps before), or none of them. */
export type AppendResult<Refusal = never> =
  | { readonly kind: 'recorded'; readonly seqs: Readonly<Record<string, number>> }
  | { readonly kind: 'conflict'; readonly id: string }
  | { readonly kind: 'noHouse' }
  | { readonly kind: 'noRoom'; readonly room: string }
  | { readonly kind: 'notYours' | 'final'; readonly id: string }
  | { readonly kind: 'wrong'; readonly problem: Problem }
  /** Somebody else put the same on in between. */
  | { readonly kind: 'ran'; readonly clashes: readonly Ran[] }
  /** Somebody handed out the same in between. */
  | { readonly kind: 'handed'; readonly room: string }
  /** Something was recorded or changed in between against which they cannot be recorded. */
  | { readonly kind: 'against'; readonly why: Refusal };

/**
 * The log of a house in the order of recording.
 *
 * @param after the number of an entry: those that came after it; 0 for all
 */
export async function listEntries(houseId: string, after = 0): Promise<readonly Entry[]> {
  // Plain rows: a house may have tens of thousands.
  const rows = await models().EntryRow.findAll({
    where: { houseId, seq: { [Op.gt]: after } },
    order: ['seq'],
    raw: true,
  });
  return rows.flatMap((row) => entryOf(row) ?? []);
}

/** Returns when entries are said to be of, of those that are recorded: ms since 1970, by id. */
export async function recordedAt(ids: readonly string[]): Promise<ReadonlyMap<string, number>> {
  const rows = await models().EntryRow.findAll({ where: { id: [...ids] }, attributes: ['id', 'at'], raw: true });
  return new Map(rows.map(({ id, at }) => [id, at.getTime()]));
}

/**
 * Appends entries, all or none. `seq` is given under the house's row lock, so that a reader who has seen n has seen
 * everything before it. An entry sent again unchanged is recorded once; changed, it is a conflict.
 *
 * @param piecesOf the pieces of rooms, which a caller may remember between calls
 * @param rules what a caller asks of the house while nobody else can change it: returns why the entries cannot be recorded
 */
export async function appendEntries<Refusal = never>(
  houseId: string,
  by: Pick<Person, 'id' | 'role'>,
  entries: readonly NewEntry[],
  piecesOf: PiecesOf = takenOffHere,
  rules?: (now: SeenHouse) => Promise<Refusal | undefined>,
): Promise<AppendResult<Refusal>> {
  const { sequelize, RoomRow } = models();
  const append = sequelize.transaction(async (transaction): Promise<AppendResult<Refusal>> => {
    const house = await lockHouse(houseId, transaction);
    if (!house) return { kind: 'noHouse' };
    const ids = [
      ...entries.map(({ id }) => id),
      ...entries.flatMap((entry) => (entry.kind === 'void' ? [entry.payload.target] : [])),
    ];
    const known = new Map((await EntryRow.findAll({ where: { id: ids }, transaction })).map((row) => [row.id, row]));
    const rooms = new Set(
      (await RoomRow.findAll({ where: { houseId }, attributes: ['id'], transaction })).map(({ id }) => id),
    );

    const unknown = entries.filter(({ id }) => !known.has(id));
    const handed = await handedSince(unknown, by.id, houseId, transaction);
    if (handed !== undefined) return { kind: 'handed', room: handed };
    const ran = await ranSince(unknown, by.id, houseId, transaction);
    if (ran.length > 0) return { kind: 'ran', clashes: ran };
    const now = { seq: house.nextSeq - 1, rooms: house.roomsSeq };
    const why = rules && (await inReading(transaction, () => rules(now)));
    if (why !== undefined) return { kind: 'against', why };
    const foundOf = await checkEntries(unknown, house, piecesOf, transaction);

    const seqs: Record<string, number> = {};
    const fresh = new Map<string, { readonly entry: NewEntry; readonly found: FoundOut }>();
    for (const [index, entry] of entries.entries()) {
      const row = known.get(entry.id);
      const twin = fresh.get(entry.id)?.entry;
      if (row ? !isSame(row, entry, houseId, by.id) : twin !== undefined && !isDeepStrictEqual(twin, entry))
        return { kind: 'conflict', id: entry.id };
      if (row) seqs[entry.id] = row.seq;
      if (row || twin) continue;
      if (entry.room !== null && !rooms.has(entry.room)) return { kind: 'noRoom', room: entry.room };
      if (entry.kind === 'void' && isFinal(known.get(entry.payload.target)))
        return { kind: 'final', id: entry.payload.target };
      if (entry.kind === 'void' && !mayVoid(entry, known.get(entry.payload.target), entries, by))
        return { kind: 'notYours', id: entry.payload.target };
      const found = foundOf(entry);
      if (!found.ok)
        return { kind: 'wrong', problem: { ...found.problem, path: `entries[${index}].${found.problem.path}` } };
      fresh.set(entry.id, { entry, found: { on: found.on, put: found.put } });
    }

    const rows = [...fresh.values()].map(({ entry, found }, index) =>
      rowOf(entry, found, houseId, house.nextSeq + index, by),
    );
    await EntryRow.bulkCreate(rows, { transaction });
    await house.update({ nextSeq: house.nextSeq + rows.length }, { transaction });
    for (const { id, seq } of rows) seqs[id] = seq;
    return { kind: 'recorded', seqs };
  });
  try {
    return await append;
  } catch (error) {
    // The same id reached another house at the same moment; the lock only orders entries of one house.
    if (error instanceof UniqueConstraintError) return { kind: 'conflict', id: entries[0]?.id ?? '' };
    throw error;
  }
}

/** Returns whether an entry is a builder's signature on a share link. Nobody can undo those. */
const isFinal = (row: EntryRow | undefined): boolean =>
  row?.kind === 'signed' && (payloadOf(row) as { readonly link?: string }).link !== undefined;

/** A phone may be without a signal for so long. */
const LONGEST_APART_MS = 7 * 24 * 3_600_000;

/** Everyone takes back what is their own, and the same coat by somebody else in favour of their own; a lead takes back anything. */
function mayVoid(
  { payload }: Extract<NewEntry, { kind: 'void' }>,
  target: EntryRow | undefined,
  sent: readonly NewEntry[],
  by: Pick<Person, 'id' | 'role'>,
): boolean {
  if (by.role === 'lead') return true;
  if (payload.for === undefined) return target === undefined || target.by === by.id;
  const own = sent.find(({ id }) => id === payload.for);
  if (own?.kind !== 'coat' || target?.kind !== 'coat' || target.roomId !== own.room) return false;
  // Two who logged the same find out within days: nobody takes back what stands for longer.
  if (now() - target.recordedAt.getTime() > LONGEST_APART_MS) return false;
  const theirs = payloadOf(target) as typeof own.payload;
  return theirs.class === own.payload.class && theirs.key === own.payload.key && theirs.side === own.payload.side;
}

function rowOf(
  entry: NewEntry,
  found: FoundOut,
  houseId: string,
  seq: number,
  by: { readonly id: string; readonly role: Role },
) {
  return {
    id: entry.id,
    houseId,
    seq,
    roomId: entry.room,
    kind: entry.kind,
    at: new Date(entry.at),
    deviceAt: entry.deviceAt === undefined ? null : new Date(entry.deviceAt),
    by: by.id,
    role: by.role,
    payload: found.on ? { ...entry.payload, on: found.on, put: found.put } : entry.payload,
    recordedAt: new Date(now()),
  };
}

function isSame(row: EntryRow, entry: NewEntry, houseId: string, by: string): boolean {
  const stored = {
    houseId: row.houseId,
    room: row.roomId,
    kind: row.kind,
    at: row.at.getTime(),
    deviceAt: row.deviceAt?.getTime(),
    by: row.by,
    payload: withoutFound(payloadOf(row)),
  };
  return isDeepStrictEqual(stored, {
    houseId,
    room: entry.room,
    kind: entry.kind,
    at: Date.parse(entry.at),
    deviceAt: entry.deviceAt === undefined ? undefined : Date.parse(entry.deviceAt),
    by,
    payload: withoutUndefined(entry.payload),
  });
}

const withoutUndefined = (value: object): unknown => JSON.parse(JSON.stringify(value));

/** What was found out when it was recorded is no part of what was sent. */
function withoutFound(payload: unknown): unknown {
  const { on: _on, put: _put, ...sent } = payload as Readonly<Record<string, unknown>>;
  return sent;
}

const payloadOf = ({ version, kind, payload }: EntryRow): unknown =>
  version === ENTRY_VERSION ? payload : liftPayload(kind, payload, version);

const takenOffHere: PiecesOf = async (head, rooms) =>
  new Map(rooms.map((room) => [room, takeOff(room, head).pieces] as const));

/** A recorded entry, which was looked at when it was sent; one of no known kind or instant is left out. */
function entryOf(row: EntryRow): Entry | undefined {
  const { id, seq, roomId: room, kind, at, deviceAt, by, role, recordedAt } = row;
  if (!ENTRY_KINDS.has(kind) || !Number.isFinite(at.getTime()) || !isInTime(at.toISOString())) return undefined;
  const stamp = { id, seq, room, kind, at: at.toISOString(), by, role, recordedAt: recordedAt.toISOString() };
  return { ...stamp, ...(deviceAt ? { deviceAt: deviceAt.toISOString() } : {}), payload: payloadOf(row) } as Entry;
}
