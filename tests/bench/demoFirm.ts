import { findFirm } from '../../src/db/firms';

/** The only firm that there is. */
export async function demoFirm(): Promise<string> {
  const firm = await findFirm('');
  if (firm === undefined) throw new Error('the demo is loaded');
  return firm;
}
