import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { findProgram, isRoot, run } from './run.mjs';
import { say, Trouble } from './say.mjs';

/** The folder with PostgreSQL's server programs, newest version first, or undefined. */
export function findPostgres() {
  const versions = '/usr/lib/postgresql';
  const folders = existsSync(versions)
    ? readdirSync(versions)
        .sort((a, b) => Number(b) - Number(a))
        .map((version) => join(versions, version, 'bin'))
    : [];
  const onPath = findProgram('initdb');
  if (onPath) folders.push(onPath.replace(/\/initdb$/, ''));
  return folders.find((folder) => existsSync(join(folder, 'initdb')) && existsSync(join(folder, 'pg_ctl')));
}

/** PostgreSQL's programs, installed from Debian's packages when they are missing. */
export async function needPostgres() {
  const found = findPostgres();
  if (found) return found;
  keepDebianFromStartingACluster();
  await installDebian('postgresql', 'PostgreSQL');
  const installed = findPostgres();
  if (!installed)
    throw new Trouble('PostgreSQL was installed but its initdb and pg_ctl are not in /usr/lib/postgresql.');
  return installed;
}

/** What draws pages without a window, for a quarter less work than the whole browser. */
const SHELL = 'chromium-headless-shell';

/**
 * Chromium's path: the shell that only draws pages, else the whole browser; the shell is installed from Debian's packages
 * when it is missing, if that can be done.
 */
export async function needChromium() {
  const find = () => process.env.CHROMIUM ?? findProgram(SHELL);
  const found = find();
  if (found) return found;
  try {
    await installDebian(SHELL, 'Chromium');
  } catch (trouble) {
    const whole = findProgram('chromium');
    if (whole) return whole;
    throw trouble;
  }
  const installed = find();
  if (!installed) throw new Trouble('Chromium was installed but is not on the PATH.');
  return installed;
}

function keepDebianFromStartingACluster() {
  if (!isRoot()) return;
  const folder = '/etc/postgresql-common';
  const file = join(folder, 'createcluster.conf');
  mkdirSync(folder, { recursive: true });
  const now = existsSync(file) ? readFileSync(file, 'utf8') : '';
  if (!/^\s*create_main_cluster\s*=\s*false/m.test(now)) {
    writeFileSync(file, `${now.replace(/^\s*create_main_cluster.*$/gm, '')}\ncreate_main_cluster = false\n`);
  }
}

async function installDebian(name, title) {
  const command = `apt-get update && apt-get install -y ${name}`;
  if (!findProgram('apt-get'))
    throw new Trouble(`${title} is missing and there is no apt-get here. Install ${title} by hand.`);
  if (!isRoot()) throw new Trouble(`${title} is missing. Install it once with:  sudo sh -c '${command}'`);
  say(`Installing ${title} from Debian's packages (${command}) …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const update = await run('apt-get', ['update'], { env });
  const install = await run('apt-get', ['install', '-y', '--no-install-recommends', name], { env });
  if (install.code === 0) return;
  const output = update.output + install.output;
  if (/No space left/.test(output))
    throw new Trouble(`${title} does not fit on the disk. Free some space and start again.`);
  if (/Could not resolve|Unable to connect|Failed to fetch|Could not connect/.test(output)) {
    throw new Trouble(`Debian's package server cannot be reached, so ${title} cannot be installed.`);
  }
  throw new Trouble(`apt-get could not install ${name}: ${install.output.trim().split('\n').slice(-2).join(' ')}`);
}
