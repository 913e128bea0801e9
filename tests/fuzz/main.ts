import { readFileSync } from 'node:fs';
import { sealData } from 'iron-session';
import { connection } from '../../src/db/connection';
import { addDevice } from '../../src/db/devices';
import { inFirm } from '../../src/db/firm';
import { findFirm } from '../../src/db/firms';
import { listHouses } from '../../src/db/houses';
import { listPeople } from '../../src/db/people';
import { addSession } from '../../src/db/sessions';
import { sendAll } from './sendAll';

/** MB of memory that a process holds, now and at most so far. */
function memoryOf(pid: number): readonly [now: number, most: number] {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8');
  const of = (name: string) => Math.round(Number(new RegExp(`${name}:\\s+(\\d+)`).exec(status)?.[1] ?? 0) / 1024);
  return [of('VmRSS'), of('VmHWM')];
}

/** Sends many odd requests to a server on loopback and prints what came of them. */
async function main(port: number, pid: number, count: number, seed: number): Promise<void> {
  const firm = (await findFirm('')) ?? '';
  const ground = await inFirm(firm, async () => {
    const people = await listPeople();
    const cookies = await Promise.all(
      ['Marit', 'Petra', 'Builder'].map(async (name) => {
        const token = await addSession(people.find((person) => person.name === name)?.id ?? '', 'fuzz', Date.now());
        return `oak-session=${await sealData({ token }, { password: process.env.SESSION_SECRET ?? '' })}`;
      }),
    );
    const lead = people.find(({ role }) => role === 'lead');
    if (!lead) throw new Error('the demo has a lead');
    const [house] = await listHouses({ ...lead, firm });
    if (!house) throw new Error('the demo has a house');
    const { key } = await addDevice(house.id, 'bath', 'Fuzz');
    return { house: house.id, at: new Date().toISOString(), cookies, deviceKey: key };
  });
  await connection().close();
  const [before] = memoryOf(pid);
  const from = Date.now();
  const { statuses, faults, slowest } = await sendAll(`http://127.0.0.1:${port}`, ground, count, seed, (sent) => {
    if (sent % 10_000 === 0)
      process.stdout.write(`  ${sent} sent, ${Math.round((Date.now() - from) / 1000)} s, ${memoryOf(pid)[0]} MB\n`);
  });
  const [now, most] = memoryOf(pid);
  process.stdout.write(
    `\n${count} odd requests, seed ${seed}: ${Math.round((Date.now() - from) / 1000)} s, the slowest ${Math.round(slowest)} ms\n` +
      `  answers: ${Object.entries(statuses)
        .map(([status, times]) => `${status} × ${times}`)
        .join(', ')}\n` +
      `  memory of the server: ${before} MB before, ${now} MB after, ${most} MB at most\n` +
      `  faults: ${faults.length}\n${faults.map((fault) => `    ${fault}\n`).join('')}`,
  );
  if (faults.length > 0) process.exitCode = 1;
}

const [port = 0, pid = 0, count = 0, seed = 0] = process.argv.slice(2).map(Number);
await main(port, pid, count, seed);
