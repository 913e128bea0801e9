import { existsSync, mkdtempSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { runningCluster } from './cluster.mjs';
import { databaseCommand } from './database.mjs';
import { root } from './place.mjs';
import { run } from './run.mjs';
import { Trouble } from './say.mjs';
import { isSealed, passphrase, seal, unseal } from './sealed.mjs';
import { needPostgres } from './system.mjs';
import { withDatabase } from './withDatabase.mjs';

/**
 * Writes everything that is in the database into a new file, whole or not at all; the application may go on meanwhile. It is encrypted where
 * `OAK_BACKUP_PASSPHRASE` is set.
 */
export async function backup(file) {
  const place = resolve(file);
  if (existsSync(place)) throw new Trouble(`${file} is there already; name another file.`);
  const words = passphrase();
  await withDatabase(async (url) => {
    const [unfinished, plain] = [`${place}.unfinished`, `${place}.plain`];
    const dumped = words ? plain : unfinished;
    try {
      // It holds the hashes of all passwords: nobody else on this machine reads it.
      writeFileSync(dumped, '', { mode: 0o600 });
      const { code, output } = await tool('pg_dump', ['--format=custom', `--file=${dumped}`], url);
      if (code !== 0) throw new Trouble(`nothing was saved: ${lastLine(output)}`);
      if (words) await seal(plain, unfinished, words);
      renameSync(unfinished, place);
    } finally {
      for (const file of [unfinished, plain]) rmSync(file, { force: true });
    }
  });
}

/**
 * Puts a saved database back in place of what is there, in one transaction, and brings it up to date. Everybody signs in again, and who was
 * removed since stays removed.
 */
export async function restore(file) {
  if (!existsSync(file)) throw new Trouble(`there is no file ${file}.`);
  const folder = mkdtempSync(join(tmpdir(), 'oak-restore-'));
  try {
    const saved = isSealed(file) ? join(folder, 'saved') : resolve(file);
    if (isSealed(file)) await unseal(resolve(file), saved);
    await refuseWhatDoesNotFit(file, saved);
    if (!process.env.DATABASE_URL && runningCluster())
      throw new Trouble('Oak Tally runs from this folder. Stop it first, with Ctrl-C.');
    const script = join(folder, 'restore.sql');
    const first = join(folder, 'clear.sql');
    writeFileSync(first, 'DROP SCHEMA public CASCADE; CREATE SCHEMA public;');
    const read = await tool('pg_restore', ['--no-owner', '--no-privileges', `--file=${script}`, saved]);
    if (read.code !== 0) throw new Trouble(`${file} cannot be read: ${lastLine(read.output)}`);
    await withDatabase(async (url) => {
      const since = join(folder, 'since.sql');
      writeFileSync(since, `DELETE FROM sessions;\n${await removedIn(url)}`);
      const run = (...files) =>
        tool('psql', [...PSQL, '--single-transaction', ...files.map((one) => `--file=${one}`)], url);
      const { code, output } = await run(first, script);
      if (code !== 0) throw new Trouble(`nothing was changed: ${lastLine(output)}`);
      // What was saved may be of an older release, which knew of less.
      await databaseCommand('prepare', [], { DATABASE_URL: url });
      const ended = await run(since);
      if (ended.code !== 0) throw new Trouble(`it is back, but old sign-ins still hold: ${lastLine(ended.output)}`);
    });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** A backup fits when it is one of this application, and no newer than it. */
async function refuseWhatDoesNotFit(file, saved) {
  const { code, output } = await tool('pg_restore', ['--data-only', '--table=migrations', '--file=-', saved]);
  const names = /^COPY [^\n]*migrations[^\n]*\n([\s\S]*?)^\\\.$/m.exec(output)?.[1]?.trim().split('\n');
  if (code !== 0 || !names) throw new Trouble(`${file} is no backup of Oak Tally.`);
  const known = readdirSync(join(root, 'src', 'db', 'migrations')).map((name) => name.replace(/\.ts$/, ''));
  const newer = names.find((name) => !known.includes(name));
  if (newer) throw new Trouble(`${file} was saved by a newer Oak Tally (${newer}). Restore it with that one.`);
}

/** The statements that remove the people again who are removed in a database as it is now; none where it has none. */
async function removedIn(url) {
  const asked = "SELECT id || ' ' || removed_at FROM people WHERE removed_at IS NOT NULL ORDER BY id";
  const { code, output } = await tool('psql', [...PSQL, '--tuples-only', '--no-align', `--command=${asked}`], url);
  const people = code === 0 ? output.trim().split('\n') : [];
  return people
    .map((line) => /^([0-9a-f-]{36}) (.+)$/.exec(line))
    .filter((found) => found !== null)
    .map(([, id, at]) => `UPDATE people SET removed_at = '${at}' WHERE id = '${id}' AND removed_at IS NULL;`)
    .join('\n');
}

const PSQL = ['--quiet', '--no-psqlrc', '--set=ON_ERROR_STOP=1'];

/** Runs one of PostgreSQL's tools; its password is in a file for it alone, for everybody on a machine sees what stands on its command line. */
async function tool(name, args, url) {
  const program = join(await needPostgres(), name);
  if (!url) return run(program, args);
  const folder = mkdtempSync(join(tmpdir(), 'oak-password-'));
  try {
    const place = new URL(url);
    const password = decodeURIComponent(place.password).replace(/[\\:]/g, '\\$&');
    const file = join(folder, 'pgpass');
    writeFileSync(file, `*:*:*:*:${password}\n`, { mode: 0o600 });
    place.password = '';
    return await run(program, [...args, `--dbname=${place.href}`], { env: { ...process.env, PGPASSFILE: file } });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const lastLine = (output) => output.trim().split('\n').at(-1);
