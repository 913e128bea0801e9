import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './setup/place.mjs';
import { run } from './setup/run.mjs';
import { runScript, say, Trouble } from './setup/say.mjs';

await runScript(async () => {
  const [version] = process.argv.slice(2);
  if (!/^\d+\.\d+\.\d+$/.test(version ?? '')) throw new Trouble('name the version:  npm run release -- 0.3.0');
  const changelog = readFileSync(join(root, 'CHANGELOG.md'), 'utf8');
  if (!changelog.includes(`\n## [${version}] - `))
    throw new Trouble(`CHANGELOG.md has no section for ${version}. Write it first.`);
  const changed = (await git('status', '--porcelain')).split('\n').filter((line) => line !== '');
  if (changed.some((line) => !line.endsWith(' CHANGELOG.md')))
    throw new Trouble('there are changes that are not committed. Commit them first.');
  if ((await git('tag', '--list', `v${version}`)) !== '') throw new Trouble(`v${version} is there already.`);
  await done('npm', 'version', version, '--no-git-tag-version', '--allow-same-version');
  await git('add', 'package.json', 'package-lock.json', 'CHANGELOG.md');
  if ((await git('diff', '--cached', '--name-only')) !== '') await git('commit', '-m', `Release ${version}`);
  await git('tag', '-a', `v${version}`, '-m', `Oak Tally ${version}`);
  say(`v${version} is tagged.`);
});

const git = (...args) => done('git', ...args);

/** Runs a command in the checkout and returns what it printed. */
async function done(command, ...args) {
  const { code, output } = await run(command, args, { cwd: root });
  if (code !== 0) throw new Trouble(`${command} ${args[0]} failed: ${output.trim().split('\n').at(-1)}`);
  return output.trim();
}
