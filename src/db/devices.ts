import { createHash, randomBytes } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { SensorStanding } from '../core/air/sensorStanding';
import { now } from './clock';
import { acrossFirms, firm } from './firm';
import { models } from './models';

/** A sensor that may send readings for a room, or for the house. */
export interface Device {
  readonly firm: string;
  readonly id: string;
  readonly houseId: string;
  readonly roomId: string | null;
  readonly name: string;
}

const hashOf = (key: string): string => createHash('sha256').update(key).digest('hex');

/** Adds a device; its key is told this once, only its hash is kept. */
export async function addDevice(
  houseId: string,
  roomId: string | null,
  name: string,
  key = `oak_${randomBytes(24).toString('base64url')}`,
): Promise<{ readonly id: string; readonly key: string }> {
  const { id } = await models().DeviceRow.create({
    houseId,
    roomId,
    name,
    keyHash: hashOf(key),
    madeAt: new Date(now()),
  });
  return { id, key };
}

/** The device whose key this is, unless it was removed; of whatever firm, which its key alone tells. */
export async function findDevice(key: string): Promise<Device | undefined> {
  const [device] = await acrossFirms(() =>
    models().sequelize.query<Device>(
      `SELECT firm, id, house_id AS "houseId", room_id AS "roomId", name FROM devices
     WHERE key_hash = $1 AND removed_at IS NULL`,
      { type: QueryTypes.SELECT, bind: [hashOf(key)] },
    ),
  );
  return device;
}

/** Puts a device into another room: what it sends from now on is that room's. */
export async function moveDevice(houseId: string, id: string, roomId: string | null): Promise<boolean> {
  const [count] = await models().DeviceRow.update({ roomId }, { where: { houseId, id, removedAt: null } });
  return count > 0;
}

/** Takes a device away: its key is refused from now on, its readings stay. */
export async function removeDevice(houseId: string, id: string, at: Date): Promise<boolean> {
  const [count] = await models().DeviceRow.update({ removedAt: at }, { where: { houseId, id, removedAt: null } });
  return count > 0;
}

const LAGS_KEPT = 3;

/** Remembers how old the newest reading of a batch was when it came, seconds. */
export async function noteLag(id: string, seconds: number): Promise<void> {
  await models().sequelize.query(
    `UPDATE devices SET lags = (array_append(lags, $2::float8))[greatest(1, cardinality(lags) + 2 - $3):]
     WHERE firm = $4 AND id = $1`,
    { bind: [id, seconds, LAGS_KEPT, firm()] },
  );
}

/** So old is a reading when the clock that dated it is an hour behind; seconds. */
const isHourLate = (lags: readonly number[]): boolean =>
  lags.length === LAGS_KEPT && lags.every((lag) => lag > 3000 && lag < 4200);

/** The devices of a house with how they behave. */
export async function listDevices(houseId: string, instant: number): Promise<readonly SensorStanding[]> {
  const rows = await models().sequelize.query<{
    id: string;
    room: string | null;
    name: string;
    lags: readonly number[];
    at: Date | null;
    temperature: number | null;
    humidity: number | null;
    jumped: number;
    doubtful: number;
    stuck: boolean;
  }>(
    // Materialized: where rows are guarded, an index is used only for what is compared without a function.
    `WITH own AS MATERIALIZED (
       SELECT *, id::text AS device_id FROM devices WHERE firm = $4 AND house_id = $1 AND removed_at IS NULL
     )
     SELECT own.id, own.room_id AS room, name, lags, last.at, last.temperature, last.humidity,
       coalesce(week.jumped, 0)::int AS jumped, coalesce(week.stuck, false) AS stuck,
       (SELECT count(*) FROM readings
        WHERE firm = $4 AND house_id = $1 AND device = device_id AND doubt IS NOT NULL)::int
         AS doubtful
     FROM own
     LEFT JOIN LATERAL (
       SELECT at, temperature, humidity FROM readings
       WHERE firm = $4 AND house_id = $1 AND device = device_id ORDER BY at DESC LIMIT 1
     ) AS last ON true
     LEFT JOIN LATERAL (
       SELECT sum(left_out) AS jumped,
         count(*) FILTER (WHERE hour > $3) >= 12
           AND max(temperature_most) FILTER (WHERE hour > $3) = min(temperature_least) FILTER (WHERE hour > $3)
           AND max(humidity_most) FILTER (WHERE hour > $3) = min(humidity_least) FILTER (WHERE hour > $3) AS stuck
       FROM reading_hours WHERE firm = $4 AND house_id = $1 AND device = device_id AND hour > $2
     ) AS week ON true
     ORDER BY made_at, name`,
    {
      type: QueryTypes.SELECT,
      bind: [
        houseId,
        new Date(instant - 7 * DAY_MS).toISOString(),
        new Date(instant - 13 * HOUR_MS).toISOString(),
        firm(),
      ],
    },
  );
  return rows.map(({ id, room, name, lags, at, temperature, humidity, jumped, doubtful, stuck }) => ({
    id,
    roomId: room,
    name,
    lastAt: at?.getTime(),
    temperature: temperature ?? undefined,
    humidity: humidity ?? undefined,
    jumped,
    doubtful,
    stuck,
    hourLate: isHourLate(lags),
  }));
}

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
