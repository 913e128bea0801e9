import { createInterface } from 'node:readline/promises';
import { startCluster } from './setup/cluster.mjs';
import { databaseCommand } from './setup/database.mjs';
import { checkNode } from './setup/node.mjs';
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
  const cluster = process.env.DATABASE_URL ? undefined : await startCluster();
  try {
    const env = { DATABASE_URL: process.env.DATABASE_URL ?? cluster.url('postgres') };
    say(`The demo is back.\n${await databaseCommand('prepare', ['--reset-demo'], env)}`);
  } finally {
    // A cluster that was running before belongs to a running application.
    if (cluster && !cluster.wasRunning) await cluster.stop();
  }
});
