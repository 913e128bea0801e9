import { cookieOf, serve } from '../../scripts/setup/served.mjs';
import { closeConnection, connection } from '../../src/db/connection';
import { addDevice } from '../../src/db/devices';
import { acrossFirms, firm, inFirm } from '../../src/db/firm';
import { addHouse } from '../../src/db/houses';
import { chartAir } from '../../src/db/readingHours';
import { demoFirm } from './demoFirm';
import { houseOfRooms, median } from './rooms';

const port = Number(process.argv[2]);
const base = `http://127.0.0.1:${port}`;
const ALL = 10_000;
const BATCH = 1000;
const MINUTE = 60_000;
const YEAR_DAYS = 366;

/** Readings that come in, a server that is killed between two batches, and the chart of a year. */
async function main(): Promise<void> {
  const house = await addHouse(houseOfRooms(30), 'UTC');
  const sent = Array.from({ length: ALL }, (_, index) => ({
    at: new Date(Date.now() - index * MINUTE).toISOString(),
    temperature: 18 + (index % 40) / 10,
    humidity: 50 + (index % 17),
  }));
  let server = await started();
  const times: number[] = [];
  for (const size of [ALL, BATCH]) {
    const { key } = await addDevice(house, 'room-0', `batches of ${size}`);
    const start = performance.now();
    for (let from = 0; from < ALL; from += size) await send(key, sent.slice(from, from + size));
    times.push(performance.now() - start);
  }
  process.stdout.write(
    `\n10,000 readings: ${times[0]?.toFixed(0)} ms in one batch, ${times[1]?.toFixed(0)} ms in ten (budget 2,000)\n`,
  );

  const { id, key } = await addDevice(house, 'room-1', 'killed');
  for (let from = 0; from < ALL / 2; from += BATCH) await send(key, sent.slice(from, from + BATCH));
  await server.kill();
  const afterKill = await countOf(id);
  server = await started();
  for (let from = 0; from < ALL; from += BATCH) await send(key, sent.slice(from, from + BATCH));
  process.stdout.write(
    `  killed after ${ALL / 2}: ${afterKill} there; all sent again: ${await countOf(id)} there (${ALL} wanted)\n`,
  );

  await fillYear(house);
  const query: number[] = [];
  for (let run = 0; run < 9; run += 1) {
    const start = performance.now();
    await chartAir(house, 'room-2', Date.now() - YEAR_DAYS * 1440 * MINUTE, Date.now(), 500);
    query.push(performance.now() - start);
  }
  const cookie = await cookieOf(base, 'Marit');
  const page: number[] = [];
  for (let run = 0; run < 9; run += 1) {
    const start = performance.now();
    const answer = await fetch(`${base}/h/${house}/dry/air?room=room-2&range=year`, { headers: { cookie } });
    await answer.text();
    if (answer.status !== 200) throw new Error(`the page answered ${answer.status}`);
    page.push(performance.now() - start);
  }
  process.stdout.write(
    `The chart of a year, 30 rooms at one reading a minute: query ${median(query).toFixed(0)} ms, whole page ${median(page).toFixed(0)} ms, the first time ${page[0]?.toFixed(0)} ms (budget 300)\n`,
  );
  await server.stop();
}

/** The server that runs; a failure leaves none behind. */
let running: Awaited<ReturnType<typeof serve>> | undefined;

async function started(): Promise<Awaited<ReturnType<typeof serve>>> {
  running = await serve({}, { port });
  return running;
}

async function send(key: string, readings: readonly object[]): Promise<void> {
  const answer = await fetch(`${base}/api/readings`, {
    method: 'POST',
    headers: { authorization: `Bearer ${key}` },
    body: JSON.stringify({ readings }),
  });
  if (answer.status !== 200) throw new Error(`${answer.status} ${await answer.text()}`);
}

async function countOf(device: string): Promise<number> {
  const [rows] = await connection().query('SELECT count(*)::int AS count FROM readings WHERE device = ?', {
    replacements: [device],
  });
  return (rows[0] as { count: number }).count;
}

/** The hours of a year of 30 sensors, as minute readings leave them; the minutes themselves of one of them. */
async function fillYear(house: string): Promise<void> {
  for (let room = 0; room < 30; room += 1) {
    const { id } = await addDevice(house, `room-${room}`, `year ${room}`);
    await connection().query(
      `INSERT INTO reading_hours (firm, house_id, device, room_id, hour, count, left_out, temperature_least, temperature_most,
         temperature_mean, humidity_least, humidity_most, humidity_mean, batch)
       SELECT ?, ?, ?, ?, hour, 60, 0, 17, 21, 19, 40, 60, 50, 1
       FROM generate_series(date_trunc('hour', now()) - ? * interval '1 day', now(), interval '1 hour') AS hour`,
      { replacements: [firm(), house, id, `room-${room}`, YEAR_DAYS] },
    );
    if (room !== 2) continue;
    // In parts: no statement runs as long as a year of minutes takes.
    for (let day = 0; day < YEAR_DAYS; day += 30)
      await connection().query(
        `INSERT INTO readings (firm, house_id, device, room_id, batch, at, temperature, humidity)
         SELECT ?, ?, ?, 'room-2', 1, at, 18, 50
         FROM generate_series(now() - ? * interval '1 day', now() - ? * interval '1 day' - interval '1 minute',
           interval '1 minute') AS at`,
        { replacements: [firm(), house, id, YEAR_DAYS - day, Math.max(0, YEAR_DAYS - day - 30)] },
      );
  }
  await acrossFirms(() => connection().query('ANALYZE'));
}

try {
  await inFirm(await demoFirm(), main);
} finally {
  await running?.kill();
  await closeConnection();
}
