import { connect, createServer } from 'node:net';
import { buildIfStale, TEST_BUILD } from './setup/build.mjs';
import { startTemporaryCluster } from './setup/cluster.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { runScript, say, Trouble } from './setup/say.mjs';
import { pause, serveDemo } from './setup/served.mjs';

const BEFORE = 300;
const AFTER = 300;

/**
 * A database that dies for good: a second one follows it, each commit waits for both; the first is killed while writers record
 * entries, the second takes over, and what stands before them hands connections on to it. No acknowledged entry may be lost, none
 * be there twice; the pause is measured: `npm run test:failover`.
 */
await runScript(async () => {
  checkNode();
  await installPackages();
  const { ask, compare, startWriters } = await import('./setup/writers.mjs');
  await buildIfStale(TEST_BUILD);
  const primary = await startTemporaryCluster({ fast: false });
  const ended = [];
  try {
    const standby = await primary.standby();
    ended.push(standby.stop);
    await ask(primary.url('postgres'), "ALTER SYSTEM SET synchronous_standby_names = '*'");
    await ask(primary.url('postgres'), 'SELECT pg_reload_conf()');
    const isSynchronous = async () =>
      (await ask(primary.url('postgres'), 'SELECT sync_state FROM pg_stat_replication'))[0]?.sync_state === 'sync';
    while (!(await isSynchronous())) await pause(50);

    const front = await passOn(primary.port);
    ended.push(front.close);
    const url = new URL(primary.url('postgres'));
    url.port = String(front.port);
    const server = await serveDemo({ DATABASE_URL: url.href, OAK_LOG_LEVEL: 'silent' }, { quiet: true });
    ended.push(server.kill);
    const [{ id: house }] = await ask(url.href, 'SELECT id FROM houses');
    const writers = await startWriters(server.url, house);
    await writers.more(BEFORE);
    const killed = Date.now();
    primary.kill();
    await standby.promote();
    front.to(standby.port);
    const promoted = Date.now() - killed;
    await writers.more(1);
    const silent = Date.now() - killed;
    await writers.more(AFTER);
    await writers.end();
    const { right, words } = await compare(url.href, house, writers.acknowledged);
    say(
      `The database was killed after ${BEFORE} entries. The other one had taken over after ${promoted} ms, the next entry was ` +
        `acknowledged after ${silent} ms. ${writers.acknowledged.size} acknowledged: ${words}.`,
    );
    if (!right) throw new Trouble('the record is not what was acknowledged.');
  } finally {
    for (const end of ended.reverse()) await end();
    await primary.stop();
  }
});

/** Hands connections on to a port on loopback, as a pooler before the databases does; told another one, it breaks those that are open. */
async function passOn(first) {
  let port = first;
  const open = new Set();
  const server = createServer((from) => {
    const to = connect(port, '127.0.0.1');
    for (const [one, other] of [
      [from, to],
      [to, from],
    ]) {
      open.add(one);
      one.on('error', () => other.destroy());
      one.on('close', () => {
        open.delete(one);
        other.destroy();
      });
      one.pipe(other);
    }
  });
  await new Promise((resolve) => server.listen(0, '127.0.0.1', resolve));
  const breakAll = () => {
    for (const one of open) one.destroy();
  };
  return {
    port: server.address().port,
    to: (next) => {
      port = next;
      breakAll();
    },
    close: () => {
      breakAll();
      server.close();
    },
  };
}
