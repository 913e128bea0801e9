import { QueryTypes, type Transaction } from 'sequelize';
import type { Air } from '../core/air/air';
import { type AirHour, SELDOM } from '../core/air/airHours';
import { JUMP } from '../core/air/reading';
import { firm } from './firm';
import { models } from './models';

/**
 * Least, most and mean of the hours in which some readings of a device lie. Doubtful readings do not count, nor do those
 * that jump away from the middle one of their hour.
 *
 * @param instants ms since 1970
 */
export async function sumUpHours(
  houseId: string,
  device: string,
  instants: readonly number[],
  batch: number,
  transaction: Transaction,
): Promise<void> {
  const hours = [...new Set(instants.map((at) => at - (at % HOUR_MS)))].sort((a, b) => a - b);
  const [first, last] = [hours[0], hours.at(-1)];
  if (first === undefined || last === undefined) return;
  const text = (at: number) => new Date(at).toISOString();
  await models().sequelize.query(
    // One pass over their span, and no join that would read every reading for every hour.
    `WITH raw AS (
       SELECT coalesce(room_id, '') AS room, date_trunc('hour', at, 'UTC') AS hour, temperature, humidity, speed
       FROM readings
       WHERE firm = $9 AND house_id = $1 AND device = $2 AND doubt IS NULL AND at >= $7 AND at < $8
         AND date_trunc('hour', at, 'UTC') IN (SELECT unnest($3::timestamptz[]))
     ), hours AS (
       SELECT room, hour, count(*) AS count,
         percentile_cont(0.5) WITHIN GROUP (ORDER BY temperature) AS middle_temperature,
         percentile_cont(0.5) WITHIN GROUP (ORDER BY humidity) AS middle_humidity,
         array_agg(temperature) AS temperatures, array_agg(humidity) AS humidities, array_agg(speed) AS speeds
       FROM raw GROUP BY room, hour
     )
     INSERT INTO reading_hours (firm, house_id, device, room_id, hour, count, left_out, temperature_least, temperature_most,
         temperature_mean, humidity_least, humidity_most, humidity_mean, speed_mean, batch)
       SELECT $9, $1, $2, room, hour, summed.* FROM hours, LATERAL (
         SELECT count(*) FILTER (WHERE counts), count(*) FILTER (WHERE NOT counts),
           min(temperature) FILTER (WHERE counts), max(temperature) FILTER (WHERE counts),
           avg(temperature) FILTER (WHERE counts), min(humidity) FILTER (WHERE counts),
           max(humidity) FILTER (WHERE counts), avg(humidity) FILTER (WHERE counts),
           avg(speed) FILTER (WHERE counts), $4::int
         FROM (
           SELECT temperature, humidity, speed, hours.count < 3 OR (abs(temperature - middle_temperature) <= $5
             AND abs(humidity - middle_humidity) <= $6) AS counts
           FROM unnest(temperatures, humidities, speeds) AS reading (temperature, humidity, speed)
         ) AS judged
         HAVING count(*) FILTER (WHERE counts) > 0
       ) AS summed
     ON CONFLICT (firm, house_id, device, room_id, hour) DO UPDATE SET
       count = excluded.count, left_out = excluded.left_out,
       temperature_least = excluded.temperature_least, temperature_most = excluded.temperature_most,
       temperature_mean = excluded.temperature_mean, humidity_least = excluded.humidity_least,
       humidity_most = excluded.humidity_most, humidity_mean = excluded.humidity_mean,
       speed_mean = excluded.speed_mean, batch = excluded.batch`,
    {
      transaction,
      bind: [
        houseId,
        device,
        hours.map(text),
        batch,
        JUMP.temperature,
        JUMP.humidity,
        text(first),
        text(last + HOUR_MS),
        firm(),
      ],
    },
  );
}

/**
 * The hours of a house that changed since a batch of readings, for the clocks of its rooms.
 *
 * @param since hours before it are left out; ms since 1970
 */
export async function listAirHours(houseId: string, afterBatch: number, since: number): Promise<readonly AirHour[]> {
  const rows = await models().sequelize.query<{
    device: string;
    room: string;
    hour: number;
    batch: number;
    count: number;
    temperature: number;
    humidity: number;
    speed: number | null;
    points: readonly (readonly [number, number, number, number | null])[] | null;
  }>(
    // Materialized: where rows are guarded, an index is used only for what is compared without a function.
    `WITH hours AS MATERIALIZED (
       SELECT *, hour + interval '1 hour' AS next FROM reading_hours
       WHERE firm = $5 AND house_id = $1 AND batch > $2 AND hour >= $3
     )
     SELECT device, room_id AS room, extract(epoch FROM hour)::float8 * 1000 AS hour, batch, count,
       temperature_mean AS temperature, humidity_mean AS humidity, speed_mean AS speed,
       CASE WHEN count <= $4 OR hour = max(hour) OVER (PARTITION BY device, room_id) THEN (
         SELECT json_agg(json_build_array(extract(epoch FROM at) * 1000, temperature, humidity, speed) ORDER BY at)
         FROM readings WHERE firm = hours.firm AND house_id = hours.house_id AND device = hours.device AND doubt IS NULL
           AND coalesce(room_id, '') = hours.room_id AND at >= hour AND at < next
           AND temperature BETWEEN temperature_least AND temperature_most
           AND humidity BETWEEN humidity_least AND humidity_most
       ) END AS points
     FROM hours
     ORDER BY hour, device`,
    { type: QueryTypes.SELECT, bind: [houseId, afterBatch, new Date(since).toISOString(), SELDOM, firm()] },
  );
  return rows.map(({ device, room, hour, batch, count, temperature, humidity, speed, points }) => ({
    device,
    room,
    hour,
    batch,
    count,
    mean: airOf(temperature, humidity, speed),
    ...(points && { readings: points.map(([from, ...air]) => ({ from, air: airOf(...air) })) }),
  }));
}

const airOf = (temperature: number, humidity: number, speed: number | null): Air => ({
  temperature,
  humidity,
  ...(speed === null ? {} : { speed }),
});

/** A stretch of a chart: what was least, most and in the mean in it. */
export interface AirStretch {
  /** ms since 1970 */
  readonly at: number;
  readonly temperature: readonly [least: number, mean: number, most: number];
  readonly humidity: readonly [least: number, mean: number, most: number];
}

/**
 * The air of a room (null: of the house) thinned to so many stretches, each with its extremes.
 *
 * @param from to @param to ms since 1970
 */
export async function chartAir(
  houseId: string,
  roomId: string | null,
  from: number,
  to: number,
  most: number,
): Promise<readonly AirStretch[]> {
  const rows = await models().sequelize.query<Record<'at' | 'tl' | 'tm' | 'th' | 'hl' | 'hm' | 'hh', number>>(
    `SELECT extract(epoch FROM min(hour))::float8 * 1000 AS at,
       min(temperature_least) AS tl, sum(temperature_mean * count) / sum(count) AS tm, max(temperature_most) AS th,
       min(humidity_least) AS hl, sum(humidity_mean * count) / sum(count) AS hm, max(humidity_most) AS hh
     FROM reading_hours
     WHERE firm = $6 AND house_id = $1 AND room_id = $2 AND hour >= $3 AND hour <= $4
     GROUP BY floor(extract(epoch FROM hour) * 1000 / $5) ORDER BY 1`,
    {
      type: QueryTypes.SELECT,
      bind: [
        houseId,
        roomId ?? '',
        new Date(from).toISOString(),
        new Date(to).toISOString(),
        Math.max(HOUR_MS, (to - from) / most),
        firm(),
      ],
    },
  );
  return rows.map(({ at, tl, tm, th, hl, hm, hh }) => ({ at, temperature: [tl, tm, th], humidity: [hl, hm, hh] }));
}

const HOUR_MS = 3_600_000;
