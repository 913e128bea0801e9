import { countFirms } from '../db/firms';

/** Whether there is any account yet, and whether several firms share this server: all that is told to who is not signed in. */
export async function whoIsThere(): Promise<'nobody' | 'oneFirm' | 'severalFirms'> {
  const count = await countFirms();
  if (count === 0) return 'nobody';
  return count === 1 ? 'oneFirm' : 'severalFirms';
}
