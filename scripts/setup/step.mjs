import { join } from 'node:path';
import { runGroup } from './group.mjs';
import { root } from './place.mjs';
import { say, Trouble } from './say.mjs';

/** Runs one of the project's tools and says how long it took; a failure ends the script. */
export async function step(title, program, args, env = {}) {
  const started = Date.now();
  say(`${title} …`);
  const code = await runGroup(process.execPath, [join(root, 'node_modules', program), ...args], {
    cwd: root,
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
  });
  if (code !== 0) throw new Trouble(`${title} failed.`);
  say(`${title}: ${((Date.now() - started) / 1000).toFixed(1)} s`);
}
