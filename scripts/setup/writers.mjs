import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { Trouble } from './say.mjs';
import { cookieOf, pause } from './served.mjs';

const WRITERS = 6;

/**
 * Writers who record one entry after the other; one that was not acknowledged is sent again until it is, as a page does.
 *
 * @returns the ids that were acknowledged so far, and how to end
 */
export async function startWriters(base, house) {
  const cookie = await cookieOf(base, 'Marit');
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
