import { backup } from './setup/dump.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { runScript, say, Trouble } from './setup/say.mjs';

await runScript(async () => {
  checkNode();
  const [file] = process.argv.slice(2);
  if (!file) throw new Trouble('say where to:  npm run backup -- FILE');
  await installPackages();
  await backup(file);
  say(`Everything is saved in ${file}.`);
});
