import { cookieOf } from '../../scripts/setup/served.mjs';
import { closeConnection } from '../../src/db/connection';
import { firm, inFirm } from '../../src/db/firm';
import { addHouse } from '../../src/db/houses';
import { models } from '../../src/db/models';
import { demoFirm } from './demoFirm';
import { houseOfRooms, median } from './rooms';

const RUNS = 25;
/** Characters of the last answer of each page. */
const sizes = new Map<string, number>();
const base = `http://127.0.0.1:${process.argv[2]}`;

/** Server time of pages beside a bare page with one query, as ratios in one run. */
async function main(): Promise<void> {
  const cookie = await cookieOf(base, 'Marit');
  const [small, large] = [await addHouse(houseOfRooms(10), 'UTC'), await addHouse(houseOfRooms(60), 'UTC')];
  const [logged, long] = [await houseWithEntries(60, 5000), await houseWithEntries(60, 20_000)];
  const first = await timeOf(`/h/${long}/board`, cookie);
  // The page is made and thrown away like any other: one query, then words.
  const pages = [
    ['a bare page with one query', '/signin'],
    ['House, 10 rooms', `/h/${small}`],
    ['House, 60 rooms', `/h/${large}`],
    ['Coat board, 10 rooms', `/h/${small}/board`],
    ['Coat board, 60 rooms', `/h/${large}/board`],
    ['House, 60 rooms, 5,000 entries', `/h/${logged}`],
    ['House, 60 rooms, 20,000', `/h/${long}`],
    ['Coat board, 60 rooms, 20,000', `/h/${long}/board`],
    ['Dry watch, 60 rooms, 20,000', `/h/${long}/dry`],
  ] as const;
  const times: number[] = [];
  for (const [, path] of pages) {
    for (let warm = 0; warm < 5; warm += 1) await timeOf(path, cookie);
    const runs: number[] = [];
    for (let run = 0; run < RUNS; run += 1) runs.push(await timeOf(path, cookie));
    times.push(median(runs));
  }
  process.stdout.write('\nPages, whole answer on loopback\n');
  process.stdout.write(`  Coat board, 60 rooms, 20,000, the first time: ${first.toFixed(0)} ms\n`);
  pages.forEach(([name, path], index) => {
    const ms = times[index] ?? 0;
    process.stdout.write(
      `  ${name.padEnd(32)} ${ms.toFixed(1).padStart(7)} ms  × ${(ms / (times[0] ?? 1)).toFixed(2)}  ${Math.round((sizes.get(path) ?? 0) / 1024)} kB\n`,
    );
  });
}

/** A house with so many entries over its rooms, a few minutes apart: coats on every class, some of them half. */
async function houseWithEntries(rooms: number, count: number): Promise<string> {
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
  return id;
}

async function timeOf(path: string, cookie: string): Promise<number> {
  const start = performance.now();
  const answer = await fetch(base + path, { headers: { cookie }, redirect: 'manual' });
  const text = await answer.text();
  sizes.set(path, text.length);
  if (answer.status !== 200) throw new Error(`${path} answered ${answer.status}`);
  return performance.now() - start;
}

try {
  await inFirm(await demoFirm(), main);
} finally {
  await closeConnection();
}
