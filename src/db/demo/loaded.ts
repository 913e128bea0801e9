import { countFirms } from '../firms';
import { models } from '../models';

/** What is written down while the demo is loaded. */
export const LOADING = 'demo';

/** Whether the demo was begun to be loaded, and not loaded. */
export async function isHalfLoaded(): Promise<boolean> {
  const [rows] = await models().sequelize.query('SELECT FROM unfinished WHERE work = $1', { bind: [LOADING] });
  return rows.length > 0;
}

/** Whether nobody and nothing is in the database yet. */
export const isEmpty = async (): Promise<boolean> => (await countFirms()) === 0;

/** Deletes everything. */
export async function clearDatabase(): Promise<void> {
  await models().sequelize.query(
    'TRUNCATE firms, crews, catalogues, crew_plans, calendars, lasers, house_viewers, people, houses, rooms, entries, photos, shown_houses, readings, methods, devices, reading_hours, weather_hours, signed_sheets, unfinished, sessions, sign_in_failures CASCADE',
  );
}
