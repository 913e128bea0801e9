import { firm } from '../../src/db/firm';
import { addHouse } from '../../src/db/houses';
import { models } from '../../src/db/models';
import { recordReadings } from '../../src/db/readings';
import { houseOfRooms } from './rooms';

const MINUTE_MS = 60_000;
const MONTH_MINUTES = 30 * 24 * 60;

/**
 * A house with so many entries over its rooms, a few minutes apart: coats on every class, half of them. A sensor has said
 * every minute of a month how the air is.
 */
export async function houseWithEntries(rooms: number, count: number): Promise<string> {
  const house = houseOfRooms(rooms);
  const id = await addHouse(house, 'UTC');
  await models().sequelize.query(
    `INSERT INTO entries (firm, id, house_id, seq, room_id, kind, at, by, role, payload, recorded_at)
     SELECT $firm, gen_random_uuid(), $id, n, ($rooms::text[])[1 + n % $count], 'coat', now() - ($last - n) * interval '2 minutes',
       (SELECT id FROM people WHERE firm = $firm AND role = 'lead' LIMIT 1), 'lead',
       jsonb_build_object('class', (ARRAY['flat', 'butt', 'angle', 'bead', 'fasteners'])[1 + n % 5],
         'key', (ARRAY['tape', 'fill', 'finish'])[1 + n * 3 / $last % 3], 'part', 0.5, 'mud', '{"kind": "drying"}'::jsonb),
       now()
     FROM generate_series(1, $last::integer) AS n`,
    { bind: { firm: firm(), id, rooms: house.rooms.map((room) => room.id), count: rooms, last: count } },
  );
  await models().HouseRow.update({ nextSeq: count + 1 }, { where: { id } });
  await recordReadings(id, 'typed:', null, monthOfMinutes());
  return id;
}

const monthOfMinutes = () => {
  const now = Date.now();
  return Array.from({ length: MONTH_MINUTES }, (_, minute) => ({
    at: now - (MONTH_MINUTES - minute) * MINUTE_MS,
    temperature: 19 + 2 * Math.sin(minute / 230),
    humidity: 52 + 6 * Math.sin(minute / 310),
    speed: undefined,
    doubt: undefined,
  }));
};
