import { QueryTypes } from 'sequelize';
import type { AirFrom } from '../core/air/airClock';
import { firm } from './firm';
import { models } from './models';

/** The weather round a house by the hour, past and to come, and when it was last asked for (ms since 1970). */
export interface Weather {
  readonly hours: readonly AirFrom[];
  readonly askedAt: number | undefined;
}

/** Keeps what a weather service said; an hour that was said before is said anew. */
export async function saveWeather(houseId: string, hours: readonly AirFrom[], askedAt: Date): Promise<void> {
  // The count of the air goes up too: open pages and remembered clocks see that there is another forecast.
  await models().sequelize.query(
    `WITH told AS (UPDATE houses SET air_seq = air_seq + 1 WHERE firm = $6 AND id = $1 RETURNING firm, id)
     INSERT INTO weather_hours (firm, house_id, hour, temperature, humidity, asked_at)
     SELECT told.firm, told.id, hour, temperature, humidity, $5
     FROM told, unnest($2::timestamptz[], $3::float8[], $4::float8[]) AS said (hour, temperature, humidity)
     ON CONFLICT (firm, house_id, hour) DO UPDATE SET
       temperature = excluded.temperature, humidity = excluded.humidity, asked_at = excluded.asked_at`,
    {
      bind: [
        houseId,
        hours.map(({ from }) => new Date(from).toISOString()),
        hours.map(({ air }) => air.temperature),
        hours.map(({ air }) => air.humidity),
        askedAt.toISOString(),
        firm(),
      ],
    },
  );
}

/** Where the weather is asked for; null for nowhere. False when the house is gone. */
export async function setWeatherUrl(houseId: string, url: string | null): Promise<boolean> {
  const [count] = await models().HouseRow.update({ weatherUrl: url }, { where: { id: houseId } });
  return count > 0;
}

/** The weather since an instant. */
export async function listWeather(houseId: string, since: number): Promise<Weather> {
  const rows = await models().sequelize.query<{ from: number; temperature: number; humidity: number; asked: number }>(
    `SELECT extract(epoch FROM hour)::float8 * 1000 AS "from", temperature, humidity,
       extract(epoch FROM asked_at)::float8 * 1000 AS asked
     FROM weather_hours WHERE firm = $3 AND house_id = $1 AND hour >= $2 ORDER BY hour`,
    { type: QueryTypes.SELECT, bind: [houseId, new Date(since).toISOString(), firm()] },
  );
  return {
    hours: rows.map(({ from, temperature, humidity }) => ({ from, air: { temperature, humidity } })),
    askedAt: rows.length > 0 ? Math.max(...rows.map(({ asked }) => asked)) : undefined,
  };
}
