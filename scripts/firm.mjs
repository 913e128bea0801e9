import { databaseCommand } from './setup/database.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { runScript, say, Trouble } from './setup/say.mjs';
import { withDatabase } from './setup/withDatabase.mjs';

await runScript(async () => {
  checkNode();
  const [name, lead, ...more] = process.argv.slice(2).map((word) => word.trim());
  if (!name || !lead || more.length > 0)
    throw new Trouble('say the firm and its lead:  npm run firm -- "NAME OF THE FIRM" "NAME OF ITS LEAD"');
  if (name.length > 80 || lead.length > 80) throw new Trouble('names have at most 80 characters.');
  await installPackages();
  await withDatabase(async (url) =>
    say(`The firm can sign in:\n${await databaseCommand('addFirm', [name, lead], { DATABASE_URL: url })}`),
  );
});
