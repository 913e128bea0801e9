import { createInterface } from 'node:readline/promises';
import { runningCluster, startCluster } from './setup/cluster.mjs';
import { databaseCommand } from './setup/database.mjs';
import { checkNode } from './setup/node.mjs';
import { onlyRun } from './setup/onlyRun.mjs';
import { installPackages } from './setup/packages.mjs';
import { runScript, say, Trouble } from './setup/say.mjs';

await runScript(async () => {
  checkNode();
  if (!process.argv.includes('--yes')) {
    if (!process.stdin.isTTY)
      throw new Trouble('this deletes every house, person and entry. Say so with:  npm run demo:reset -- --yes');
    const prompt = createInterface({ input: process.stdin, output: process.stdout });
    const answer = await prompt.question(
      '  This deletes every house, person and entry and puts the demo back. Type yes to go on: ',
    );
    prompt.close();
    if (answer.trim().toLowerCase() !== 'yes') return say('Nothing was changed.');
  }
  await installPackages();
  const reset = async (url) =>
    say(`The demo is back.\n${await databaseCommand('prepare', ['--reset-demo'], { DATABASE_URL: url })}`);
  if (process.env.DATABASE_URL) return reset(process.env.DATABASE_URL);
  // A cluster that runs belongs to a running application, which goes on with the new demo.
  const running = runningCluster();
  if (running) return reset(running('postgres'));
  const run = await onlyRun();
  try {
    const cluster = await startCluster({ env: run.env, told: (place) => run.told({ cluster: place }) });
    await reset(cluster.url('postgres'));
  } finally {
    await run.end();
  }
});
