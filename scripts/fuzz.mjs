import { checkNode } from './setup/node.mjs';
import { runScript, Trouble } from './setup/say.mjs';
import { runTrial } from './setup/trial.mjs';

/** Sends odd requests over all routes to a server with the demo: `npm run fuzz -- COUNT SEED`. */
await runScript(async () => {
  checkNode();
  const [count = 100_000, seed = 1] = process.argv.slice(2).map(Number);
  if (!(Number.isSafeInteger(count) && count > 0 && Number.isSafeInteger(seed)))
    throw new Trouble('say how many, and from which seed:  npm run fuzz -- 100000 1');
  await runTrial('tests/fuzz/main.ts', [count, seed], 'some were answered with a fault.');
});
