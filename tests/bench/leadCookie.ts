import { sealData } from 'iron-session';
import { models } from '../../src/db/models';
import { addSession } from '../../src/db/sessions';

/** What the browser of the demo's lead keeps of a sign-in, sealed with the server's own secret. */
export async function leadSeal(): Promise<string> {
  const lead = await models().PersonRow.findOne({ where: { role: 'lead' } });
  if (!lead) throw new Error('the demo is loaded');
  const token = await addSession(lead.id, 'benchmark', Date.now());
  return sealData({ token }, { password: process.env.SESSION_SECRET ?? '' });
}

/** The same as a header. */
export const leadCookie = async (): Promise<string> => `oak-session=${await leadSeal()}`;
