import { now } from '../clock';
import { closeConnection, connection } from '../connection';
import { DEMO_PASSWORD, DEMO_PEOPLE } from '../demo/demoPeople';
import { clearDatabase, isEmpty, isHalfLoaded } from '../demo/loaded';
import { migrate } from '../migrate';

/**
 * Brings the database up to date; `--demo` loads the demo into an empty one, `--reset-demo` into any. Prints the demo's
 * sign-ins when the demo's people are there.
 */
async function prepare(options: readonly string[]): Promise<void> {
  await migrate();
  const timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  if (options.includes('--reset-demo') || (await isHalfLoaded())) await clearDatabase();
  if (options.includes('--reset-demo') || (options.includes('--demo') && (await isEmpty()))) {
    // What it takes to make the demo is read only where it is made.
    const { loadDemo } = await import('../demo/loadDemo');
    await loadDemo(new Date(now()), timeZone);
  }
  const [people] = (await connection().query('SELECT name FROM people')) as [{ name: string }[], unknown];
  const demo = DEMO_PEOPLE.filter(({ name }) => people.some((person) => person.name === name));
  if (demo.length !== DEMO_PEOPLE.length) return;
  for (const role of ['lead', 'finisher', 'viewer'] as const) {
    const names = demo.filter((person) => person.role === role).map(({ name }) => name);
    process.stdout.write(`${role === 'lead' ? 'Sign in' : '       '}   ${names.join(', ')} (${role})\n`);
  }
  process.stdout.write(`Password  ${DEMO_PASSWORD}\n`);
}

try {
  await prepare(process.argv.slice(2));
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exitCode = 1;
} finally {
  await closeConnection();
}
