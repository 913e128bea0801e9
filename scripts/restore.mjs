import { restore } from './setup/dump.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { runScript, say, Trouble } from './setup/say.mjs';

await runScript(async () => {
  checkNode();
  const words = process.argv.slice(2);
  const [file] = words.filter((word) => word !== '--yes');
  if (!file) throw new Trouble('say which file:  npm run restore -- FILE --yes');
  if (!words.includes('--yes'))
    throw new Trouble(
      `this puts what is in ${file} in place of everything there is. Say so with:  npm run restore -- ${file} --yes`,
    );
  await installPackages();
  await restore(file);
  say(`What was saved in ${file} is back. Everyone must sign in again. People removed since the backup stay removed.`);
});
