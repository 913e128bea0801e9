import { spawn } from 'node:child_process';
import { randomInt, randomUUID } from 'node:crypto';
import pg from 'pg';
import { buildIfStale, serveArguments } from './setup/build.mjs';
import { startTemporaryCluster } from './setup/cluster.mjs';
import { databaseCommand } from './setup/database.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { root } from './setup/place.mjs';
import { freePort } from './setup/ports.mjs';
import { runScript, say, Trouble } from './setup/say.mjs';

const BUILD_FOLDER = '.next-test';
const WRITERS = 6;
const KINDS = ['server', 'database', 'server and database'];

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/**
 * Kills the server, its database or both while writers record entries, again and again, and looks whether every entry that was
 * acknowledged is there, once: `npm run test:kills -- KILLS ENTRIES`.
 */
await runScript(async () => {
  checkNode();
  const [kills = 20, entries = 3000] = process.argv.slice(2).map(Number);
  if (!(kills > 0 && entries > 0)) throw new Trouble('say how many:  npm run test:kills -- 20 3000');
  await installPackages();
  await buildIfStale(BUILD_FOLDER);
  const cluster = await startTemporaryCluster({ fast: false });
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const env = {
    ...process.env,
    DATABASE_URL: cluster.url('postgres'),
    SESSION_SECRET: 'a secret for kills, at least 32 characters',
    NODE_ENV: 'production',
    OAK_BUILD_DIR: BUILD_FOLDER,
    OAK_LOG_LEVEL: 'silent',
  };
  let server;
  const serve = async () => {
    server = spawn(process.execPath, serveArguments(port), { cwd: root, stdio: 'ignore', env });
    while (!(await fetch(`${base}/api/health`).catch(() => undefined))?.ok) await pause(50);
  };
  try {
    await databaseCommand('prepare', ['--demo'], env);
    await serve();
    const house = (await ask(env.DATABASE_URL, 'SELECT id FROM houses'))[0].id;
    const cookie = await signIn(base);
    const sent = new Set();
    const acknowledged = new Set();
    let going = true;
    /** One entry after the other; one that was not acknowledged is sent again until it is, as a page does. */
    const write = async () => {
      while (going) {
        const entry = {
          id: randomUUID(),
          room: 'bath',
          at: new Date().toISOString(),
          kind: 'item',
          payload: { text: 'Seen' },
        };
        sent.add(entry.id);
        while (going) {
          const answer = await fetch(`${base}/api/entries`, {
            method: 'POST',
            headers: { cookie, 'content-type': 'application/json' },
            body: JSON.stringify({ house, entries: [entry] }),
          }).catch(() => undefined);
          if (answer?.status === 200) {
            acknowledged.add(entry.id);
            break;
          }
          if (answer && answer.status < 500) throw new Trouble(`an entry was refused: ${answer.status}.`);
          await pause(20);
        }
      }
    };
    const writers = Array.from({ length: WRITERS }, write);
    const from = Date.now();
    let longest = 0;
    for (let done = 0; done < kills; done += 1) {
      const before = acknowledged.size;
      // After its share of the entries, and not at the same place of one each time.
      while (acknowledged.size < Math.max(before + 20, (entries * (done + 1)) / kills)) await pause(5);
      await pause(randomInt(30));
      const kind = KINDS[done % KINDS.length];
      const killed = Date.now();
      if (kind !== 'database') server.kill('SIGKILL');
      if (kind !== 'server') {
        cluster.kill();
        await cluster.startAgain();
      }
      if (kind !== 'database') await serve();
      const then = acknowledged.size;
      while (acknowledged.size === then) await pause(5);
      longest = Math.max(longest, Date.now() - killed);
    }
    going = false;
    await Promise.all(writers);
    const rows = await ask(env.DATABASE_URL, 'SELECT id, seq FROM entries WHERE house_id = $1 ORDER BY seq', [house]);
    const stored = new Set(rows.map(({ id }) => id));
    const lost = [...acknowledged].filter((id) => !stored.has(id)).length;
    const gaps = rows.filter(({ seq }, index) => seq !== index + 1).length;
    say(
      `${kills} kills in ${Math.round((Date.now() - from) / 1000)} s, ${acknowledged.size} entries acknowledged of ${sent.size} sent: ` +
        `${lost} lost, ${rows.length - stored.size} twice, ${gaps} gaps. The longest pause was ${longest} ms.`,
    );
    if (lost + gaps + rows.length - stored.size > 0) throw new Trouble('the record is not what was acknowledged.');
  } finally {
    server?.kill('SIGKILL');
    await cluster.stop();
  }
});

async function signIn(base) {
  const answer = await fetch(`${base}/api/commands/signIn`, {
    method: 'POST',
    body: JSON.stringify({ name: 'Marit', password: 'oak-demo' }),
  });
  return answer.headers.getSetCookie()[0].split(';')[0];
}

async function ask(url, text, values) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query(text, values)).rows;
  } finally {
    await client.end();
  }
}
