import { randomInt } from 'node:crypto';
import { buildIfStale, TEST_BUILD } from './setup/build.mjs';
import { startTemporaryCluster } from './setup/cluster.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { runScript, say, Trouble } from './setup/say.mjs';
import { pause, serve, serveDemo } from './setup/served.mjs';

const KINDS = ['server', 'database', 'server and database'];

/**
 * Kills the server, its database or both while writers record entries, again and again, and looks whether every entry that was
 * acknowledged is there, once: `npm run test:kills -- KILLS ENTRIES`.
 */
await runScript(async () => {
  checkNode();
  const [kills = 20, entries = 3000] = process.argv.slice(2).map(Number);
  if (!(kills > 0 && entries > 0)) throw new Trouble('say how many:  npm run test:kills -- 20 3000');
  await installPackages();
  const { ask, compare, startWriters } = await import('./setup/writers.mjs');
  await buildIfStale(TEST_BUILD);
  const cluster = await startTemporaryCluster({ fast: false });
  const url = cluster.url('postgres');
  let server;
  try {
    const env = { DATABASE_URL: url, OAK_LOG_LEVEL: 'silent' };
    server = await serveDemo(env, { quiet: true });
    const [{ id: house }] = await ask(url, 'SELECT id FROM houses');
    const writers = await startWriters(server.url, house);
    const from = Date.now();
    let longest = 0;
    for (let done = 0; done < kills; done += 1) {
      await writers.more(Math.ceil(entries / kills));
      // Not at the same place of an entry each time.
      await pause(randomInt(30));
      const kind = KINDS[done % KINDS.length];
      const killed = Date.now();
      if (kind !== 'database') await server.kill();
      if (kind !== 'server') {
        cluster.kill();
        await cluster.startAgain();
      }
      if (kind !== 'database') server = await serve(env, { port: server.port, quiet: true });
      await writers.more(1);
      longest = Math.max(longest, Date.now() - killed);
    }
    await writers.end();
    const { right, words } = await compare(url, house, writers.acknowledged);
    say(
      `${kills} kills in ${Math.round((Date.now() - from) / 1000)} s, ${writers.acknowledged.size} entries acknowledged: ${words}. The longest pause was ${longest} ms.`,
    );
    if (!right) throw new Trouble('the record is not what was acknowledged.');
  } finally {
    await server?.kill();
    await cluster.stop();
  }
});
