import { randomUUID } from 'node:crypto';
import { closeConnection } from '@/db/connection';
import { inFirm } from '@/db/firm';
import { addFirm } from '@/db/firms';
import { migrate } from '@/db/migrate';
import type { Member } from '@/db/people';

/** Adds a firm of the tests' own, with a lead. */
export async function newFirm(): Promise<Member> {
  const lead = await addFirm(`firm ${randomUUID()}`, `lead ${randomUUID()}`, 'a long password');
  if (!lead) throw new Error('the name is new');
  return lead;
}

/** Runs the tests of a file in a firm of their own, on a database that is up to date. */
export async function asTestFirm(run: () => Promise<void>): Promise<void> {
  await migrate();
  await inFirm((await newFirm()).firm, run);
  await closeConnection();
}
