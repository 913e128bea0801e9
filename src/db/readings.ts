import { QueryTypes, type Transaction } from 'sequelize';
import { isSameReading, type KeptReading } from '../core/air/reading';
import { firm } from './firm';
import { lockHouse } from './houses';
import { models } from './models';
import { sumUpHours } from './readingHours';

/** What became of readings: recorded now, known before, or refused because their instant is taken by another reading. */
export interface RecordResult {
  readonly recorded: number;
  readonly known: number;
  /** ms since 1970 */
  readonly conflicts: readonly number[];
}

/** So many are recorded at once: whoever writes in the house meanwhile waits a moment only. */
const SLICE = 1500;

/**
 * Records readings of one device: the same instant again is recorded once, and with other values refused. The hours that
 * they fall into are summed up anew, so that order and batches change nothing; what was cut off in the middle is sent again.
 *
 * @param device its id, or a name for what was typed or came in a file
 * @param readings each of another instant
 * @returns undefined when there is no such house
 */
export async function recordReadings(
  houseId: string,
  device: string,
  roomId: string | null,
  readings: readonly KeptReading[],
): Promise<RecordResult | undefined> {
  // In order of time two slices have at most one hour in common.
  const ordered = readings.toSorted((a, b) => a.at - b.at);
  let [recorded, known] = [0, 0];
  const conflicts: number[] = [];
  for (let from = 0; from === 0 || from < ordered.length; from += SLICE) {
    const result = await recordSlice(houseId, device, roomId, ordered.slice(from, from + SLICE));
    if (!result) return undefined;
    recorded += result.recorded;
    known += result.known;
    conflicts.push(...result.conflicts);
  }
  return { recorded, known, conflicts };
}

async function recordSlice(
  houseId: string,
  device: string,
  roomId: string | null,
  readings: readonly KeptReading[],
): Promise<RecordResult | undefined> {
  const { sequelize } = models();
  return sequelize.transaction(async (transaction) => {
    const house = await lockHouse(houseId, transaction);
    if (!house) return undefined;
    const batch = house.airSeq + 1;
    const inserted = await insert(houseId, device, roomId, readings, batch, transaction);
    if (inserted.size > 0) {
      await sumUpHours(houseId, device, [...inserted], batch, transaction);
      await house.update({ airSeq: batch }, { transaction });
    }
    const others = readings.filter(({ at }) => !inserted.has(at));
    const conflicts = await conflictsOf(houseId, device, others, transaction);
    return { recorded: inserted.size, known: others.length - conflicts.length, conflicts };
  });
}

async function insert(
  houseId: string,
  device: string,
  roomId: string | null,
  readings: readonly KeptReading[],
  batch: number,
  transaction: Transaction,
): Promise<ReadonlySet<number>> {
  const rows = await models().sequelize.query<{ at: Date }>(
    `INSERT INTO readings (firm, house_id, device, room_id, batch, at, temperature, humidity, speed, doubt)
     SELECT $10, $1, $2, $3, $4, at, temperature, humidity, speed, doubt
     FROM unnest($5::timestamptz[], $6::float8[], $7::float8[], $8::float8[], $9::text[])
       AS reading (at, temperature, humidity, speed, doubt)
     ON CONFLICT DO NOTHING RETURNING at`,
    {
      type: QueryTypes.SELECT,
      transaction,
      bind: [
        houseId,
        device,
        roomId,
        batch,
        readings.map(({ at }) => new Date(at).toISOString()),
        readings.map(({ temperature }) => temperature),
        readings.map(({ humidity }) => humidity),
        readings.map(({ speed }) => speed ?? null),
        readings.map(({ doubt }) => doubt ?? null),
        firm(),
      ],
    },
  );
  return new Set(rows.map(({ at }) => at.getTime()));
}

/** Readings whose instant is recorded with other values; ms since 1970. */
async function conflictsOf(
  houseId: string,
  device: string,
  readings: readonly KeptReading[],
  transaction: Transaction,
): Promise<readonly number[]> {
  if (readings.length === 0) return [];
  const rows = await models().sequelize.query<{ at: Date; temperature: number; humidity: number }>(
    `SELECT at, temperature, humidity FROM readings
     WHERE firm = $4 AND house_id = $1 AND device = $2 AND at = ANY($3::timestamptz[])`,
    {
      type: QueryTypes.SELECT,
      transaction,
      bind: [houseId, device, readings.map(({ at }) => new Date(at).toISOString()), firm()],
    },
  );
  const known = new Map(rows.map((row) => [row.at.getTime(), row]));
  return readings.flatMap((reading) => {
    const row = known.get(reading.at);
    return row && !isSameReading(row, reading) ? [reading.at] : [];
  });
}

/** The doubtful readings of a device count from now on: somebody says that they are right. */
export async function trustReadings(houseId: string, device: string): Promise<boolean> {
  const { sequelize } = models();
  return sequelize.transaction(async (transaction) => {
    const house = await lockHouse(houseId, transaction);
    if (!house) return false;
    const rows = await sequelize.query<{ at: Date }>(
      `UPDATE readings SET doubt = NULL
       WHERE firm = $3 AND house_id = $1 AND device = $2 AND doubt IS NOT NULL RETURNING at`,
      { type: QueryTypes.SELECT, transaction, bind: [houseId, device, firm()] },
    );
    if (rows.length === 0) return true;
    const batch = house.airSeq + 1;
    const instants = rows.map(({ at }) => at.getTime());
    await sumUpHours(houseId, device, instants, batch, transaction);
    await house.update({ airSeq: batch }, { transaction });
    return true;
  });
}
