import { randomInt } from 'node:crypto';
import { buildIfStale } from './setup/build.mjs';
import { startTemporaryCluster } from './setup/cluster.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { runScript, say, Trouble } from './setup/say.mjs';

const BUILD_FOLDER = '.next-test';
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
  const { ask, compare, demoServer, pause, startWriters } = await import('./setup/writers.mjs');
  await buildIfStale(BUILD_FOLDER);
  const cluster = await startTemporaryCluster({ fast: false });
  const url = cluster.url('postgres');
  let server;
  try {
    server = await demoServer(url, BUILD_FOLDER);
    const [{ id: house }] = await ask(url, 'SELECT id FROM houses');
    const writers = await startWriters(server.base, house);
    const from = Date.now();
    let longest = 0;
    for (let done = 0; done < kills; done += 1) {
      await writers.more(Math.ceil(entries / kills));
      // Not at the same place of an entry each time.
      await pause(randomInt(30));
      const kind = KINDS[done % KINDS.length];
      const killed = Date.now();
      if (kind !== 'database') server.kill();
      if (kind !== 'server') {
        cluster.kill();
        await cluster.startAgain();
      }
      if (kind !== 'database') await server.start();
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
    server?.kill();
    await cluster.stop();
  }
});
