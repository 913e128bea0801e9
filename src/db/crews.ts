import { QueryTypes } from 'sequelize';
import { type Crew, crewSchema } from '../core/work/crew';
import { type PaintersDates, withDate } from '../core/work/painters';
import { firm } from './firm';
import { lockHouse } from './houses';
import { models } from './models';

/** How the firm's crew works, and the version that a save meets; 0 before anything was said. */
export interface StoredCrew {
  readonly crew: Crew;
  readonly version: number;
}

export async function readCrew(): Promise<StoredCrew> {
  const row = await models().CrewRow.findOne();
  const reading = crewSchema.safeParse(row?.crew ?? {});
  return { crew: reading.success ? reading.data : crewSchema.parse({}), version: row?.version ?? 0 };
}

/**
 * Saves how the crew works over the version that was seen.
 *
 * @returns the version that it makes, or undefined when somebody else saved in between
 */
export async function saveCrew(version: number, crew: Crew): Promise<number | undefined> {
  const { sequelize, CrewRow } = models();
  if (version === 0) {
    const made = await sequelize.query<{ version: number }>(
      'INSERT INTO crews (firm, crew) VALUES ($1, $2) ON CONFLICT DO NOTHING RETURNING version',
      { type: QueryTypes.SELECT, bind: [firm(), JSON.stringify(crew)] },
    );
    return made[0]?.version;
  }
  const [count] = await CrewRow.update({ crew, version: version + 1 }, { where: { version } });
  return count === 1 ? version + 1 : undefined;
}

/**
 * Says when the painters come to a house, or to a room of it.
 *
 * @returns whether there is such a house
 */
export async function savePainters(houseId: string, room: string | null, day: string | null): Promise<boolean> {
  return models().sequelize.transaction(async (transaction) => {
    const house = await lockHouse(houseId, transaction);
    if (!house) return false;
    const dates: PaintersDates = withDate(house.dates, room, day);
    await house.update({ dates, roomsSeq: house.roomsSeq + 1 }, { transaction });
    return true;
  });
}
