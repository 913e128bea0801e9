import { sealData } from 'iron-session';
import { inFirm } from '../../src/db/firm';
import { findFirm } from '../../src/db/firms';
import { listPeople } from '../../src/db/people';
import { addSession } from '../../src/db/sessions';

/** The only firm that there is. */
export async function demoFirm(): Promise<string> {
  const firm = await findFirm('');
  if (firm === undefined) throw new Error('the demo is loaded');
  return firm;
}

/** What the browser of the demo's lead keeps of a sign-in, sealed with the server's own secret. */
export async function leadSeal(): Promise<string> {
  const firm = await demoFirm();
  const token = await inFirm(firm, async () => {
    const lead = (await listPeople()).find(({ role }) => role === 'lead');
    if (!lead) throw new Error('the demo is loaded');
    return addSession(lead.id, 'benchmark', Date.now());
  });
  return sealData({ token }, { password: process.env.SESSION_SECRET ?? '' });
}

/** The same as a header. */
export const leadCookie = async (): Promise<string> => `oak-session=${await leadSeal()}`;
