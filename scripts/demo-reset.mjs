import { createInterface } from 'node:readline/promises';
import { databaseCommand } from './setup/database.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { runScript, say, Trouble } from './setup/say.mjs';
import { withDatabase } from './setup/withDatabase.mjs';

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
  await withDatabase(async (url) =>
    say(`The demo is back.\n${await databaseCommand('prepare', ['--reset-demo'], { DATABASE_URL: url })}`),
  );
});
