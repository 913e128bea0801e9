import { randomBytes } from 'node:crypto';
import { closeConnection } from '../connection';
import { addFirm } from '../firms';
import { migrate } from '../migrate';

/** Adds a firm with its lead, and prints the lead's first password, this once. */
async function add(name: string, lead: string): Promise<void> {
  await migrate();
  const password = randomBytes(9).toString('base64url');
  if (!(await addFirm(name, lead, password))) throw new Error(`there is a firm called ${name} already`);
  process.stdout.write(`Firm      ${name}\nLead      ${lead}\nPassword  ${password}\n`);
}

try {
  const [name = '', lead = ''] = process.argv.slice(2).map((word) => word.trim());
  await add(name, lead);
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exitCode = 1;
} finally {
  await closeConnection();
}
