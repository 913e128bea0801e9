import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { serveArguments } from './build.mjs';
import { databaseCommand } from './database.mjs';
import { root } from './place.mjs';
import { freePort } from './ports.mjs';
import { Trouble } from './say.mjs';

const WRITERS = 6;

export const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** A server with the demo on a database, which may be killed and started again. */
export async function demoServer(databaseUrl, buildFolder) {
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const env = {
    ...process.env,
    DATABASE_URL: databaseUrl,
    SESSION_SECRET: 'a secret for kills, at least 32 characters',
    NODE_ENV: 'production',
    OAK_BUILD_DIR: buildFolder,
    OAK_LOG_LEVEL: 'silent',
  };
  await databaseCommand('prepare', ['--demo'], env);
  let child;
  const start = async () => {
    child = spawn(process.execPath, serveArguments(port), { cwd: root, stdio: 'ignore', env });
    while (!(await fetch(`${base}/api/health`).catch(() => undefined))?.ok) await pause(50);
  };
  await start();
  return { base, start, kill: () => child.kill('SIGKILL') };
}

/**
 * Writers who record one entry after the other; one that was not acknowledged is sent again until it is, as a page does.
 *
 * @returns the ids that were acknowledged so far, and how to end
 */
export async function startWriters(base, house) {
  const cookie = await signIn(base);
  const acknowledged = new Set();
  let going = true;
  const write = async () => {
    while (going) {
      const at = new Date().toISOString();
      const entry = { id: randomUUID(), room: 'bath', at, kind: 'item', payload: { text: 'Seen' } };
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
  const all = Promise.all(Array.from({ length: WRITERS }, write));
  return {
    acknowledged,
    /** Waits until so many more are acknowledged. */
    more: async (count) => {
      const from = acknowledged.size;
      while (acknowledged.size < from + count) await Promise.race([pause(5), all]);
    },
    end: async () => {
      going = false;
      await all;
    },
  };
}

/** What is wrong with the log of a house, beside what was acknowledged: entries lost, recorded twice, numbers left out. */
export async function compare(databaseUrl, house, acknowledged) {
  const rows = await ask(databaseUrl, 'SELECT id, seq FROM entries WHERE house_id = $1 ORDER BY seq', [house]);
  const stored = new Set(rows.map(({ id }) => id));
  const lost = [...acknowledged].filter((id) => !stored.has(id)).length;
  const twice = rows.length - stored.size;
  const gaps = rows.filter(({ seq }, index) => seq !== index + 1).length;
  return { right: lost + twice + gaps === 0, words: `${lost} lost, ${twice} twice, ${gaps} gaps` };
}

async function signIn(base) {
  const answer = await fetch(`${base}/api/commands/signIn`, {
    method: 'POST',
    body: JSON.stringify({ name: 'Marit', password: 'oak-demo' }),
  });
  return answer.headers.getSetCookie()[0].split(';')[0];
}

/** Asks a database one thing. */
export async function ask(url, text, values = []) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query(text, values)).rows;
  } finally {
    await client.end();
  }
}
