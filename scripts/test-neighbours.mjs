import { checkNode } from './setup/node.mjs';
import { runScript } from './setup/say.mjs';
import { runTrial } from './setup/trial.mjs';

/** Measures how long one company waits while another one overloads the server: `npm run test:neighbours -- ATTACK …`. */
await runScript(async () => {
  checkNode();
  await runTrial('tests/neighbours/main.ts', process.argv.slice(2), 'a neighbour waited too long.');
});
