import { endGroups } from './setup/group.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { runScript, say } from './setup/say.mjs';
import { step } from './setup/step.mjs';

/** What differs from this commit is checked: `npm run check -- main`; the usual one is the last. */
const [since = 'HEAD'] = process.argv.slice(2);

// The quick look while working. What needs a database or a browser is in `npm test`.
await runScript(async () => {
  checkNode();
  process.stdout.write('\nOak Tally, a quick look\n');
  await installPackages();
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.once(signal, () => {
      endGroups();
      process.exit(130);
    });
  try {
    await Promise.all([
      step('types', 'typescript/bin/tsc', ['--noEmit']),
      step('lint', '@biomejs/biome/bin/biome', ['check', '.']),
    ]);
    const tests = ['run', '--changed', since, '--passWithNoTests', '--project', 'unit'];
    await step('tests of what changed', 'vitest/vitest.mjs', tests);
    say('Nothing speaks against it so far; npm test has the rest.');
  } finally {
    endGroups();
  }
});
