import { existsSync, mkdtempSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { runningCluster } from './cluster.mjs';
import { databaseCommand } from './database.mjs';
import { root } from './place.mjs';
import { run } from './run.mjs';
import { Trouble } from './say.mjs';
import { needPostgres } from './system.mjs';
import { withDatabase } from './withDatabase.mjs';

/** Writes everything that is in the database into a new file, whole or not at all; the application may go on meanwhile. */
export async function backup(file) {
  const place = resolve(file);
  if (existsSync(place)) throw new Trouble(`${file} is there already; name another file.`);
  await withDatabase(async (url) => {
    const unfinished = `${place}.unfinished`;
    const { code, output } = await tool('pg_dump', ['--format=custom', `--file=${unfinished}`, url]);
    if (code !== 0) {
      rmSync(unfinished, { force: true });
      throw new Trouble(`nothing was saved: ${lastLine(output)}`);
    }
    renameSync(unfinished, place);
  });
}

/** Puts a saved database back in place of what is there, in one transaction, and brings it up to date. */
export async function restore(file) {
  if (!existsSync(file)) throw new Trouble(`there is no file ${file}.`);
  await refuseWhatDoesNotFit(file);
  if (!process.env.DATABASE_URL && runningCluster())
    throw new Trouble('Oak Tally runs from this folder. Stop it first, with Ctrl-C.');
  const folder = mkdtempSync(join(tmpdir(), 'oak-restore-'));
  try {
    const script = join(folder, 'restore.sql');
    const first = join(folder, 'clear.sql');
    writeFileSync(first, 'DROP SCHEMA public CASCADE; CREATE SCHEMA public;');
    const read = await tool('pg_restore', ['--no-owner', '--no-privileges', `--file=${script}`, resolve(file)]);
    if (read.code !== 0) throw new Trouble(`${file} cannot be read: ${lastLine(read.output)}`);
    await withDatabase(async (url) => {
      const { code, output } = await tool('psql', [
        '--quiet',
        '--no-psqlrc',
        '--set=ON_ERROR_STOP=1',
        '--single-transaction',
        `--file=${first}`,
        `--file=${script}`,
        url,
      ]);
      if (code !== 0) throw new Trouble(`nothing was changed: ${lastLine(output)}`);
      await databaseCommand('prepare', [], { DATABASE_URL: url });
    });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** A backup fits when it is one of this application, and no newer than it. */
async function refuseWhatDoesNotFit(file) {
  const { code, output } = await tool('pg_restore', ['--data-only', '--table=migrations', '--file=-', resolve(file)]);
  const names = /^COPY [^\n]*migrations[^\n]*\n([\s\S]*?)^\\\.$/m.exec(output)?.[1]?.trim().split('\n');
  if (code !== 0 || !names) throw new Trouble(`${file} is no backup of Oak Tally.`);
  const known = readdirSync(join(root, 'src', 'db', 'migrations')).map((name) => name.replace(/\.ts$/, ''));
  const newer = names.find((name) => !known.includes(name));
  if (newer) throw new Trouble(`${file} was saved by a newer Oak Tally (${newer}). Restore it with that one.`);
}

const tool = async (name, args) => run(join(await needPostgres(), name), args);
const lastLine = (output) => output.trim().split('\n').at(-1);
