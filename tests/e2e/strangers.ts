import { randomUUID } from 'node:crypto';
import { sealData } from 'iron-session';
import { TRIAL_SECRET } from '../../scripts/setup/served.mjs';
import type { House } from '../../src/core/house/schema';
import { inFirm } from '../../src/db/firm';
import { addFirm } from '../../src/db/firms';
import { addHouse } from '../../src/db/houses';
import { addPerson } from '../../src/db/people';
import { addSession } from '../../src/db/sessions';
import { letIn } from '../../src/db/viewers';
import { DEMO_INSTANT } from './instants';
import { query } from './testDatabase';

const houseCalled = (name: string): House => ({
  format: 'oak-tally-house',
  version: 1,
  name,
  unit: 'in',
  hang: {},
  method: { level: 4 },
  rooms: [],
});

/** People who are signed in, and whose houses are others than the demo's; each by their cookie. */
export interface Strangers {
  /** A viewer of the demo's firm who was let into another house. */
  readonly guest: string;
  /** The lead of another firm. */
  readonly nora: string;
  /** The name of that firm. */
  readonly firm: string;
  /** Takes the other firm off the server. */
  readonly leave: () => Promise<void>;
}

export async function strangers(database: string): Promise<Strangers> {
  const [demo] = await query<{ firm: string }>("SELECT firm FROM people WHERE name = 'Marit'", database);
  const firm = demo?.firm ?? '';
  const cookieOf = async (of: string, person: string) =>
    `oak-session=${await sealData(
      { token: await inFirm(of, () => addSession(person, 'a stranger’s', DEMO_INSTANT)) },
      { password: TRIAL_SECRET },
    )}`;
  const guest = await inFirm(firm, async () => {
    const person = await addPerson(`Guest ${randomUUID()}`, 'viewer', 'oak-demo');
    if (!person) throw new Error('the name is new');
    await letIn(await addHouse(houseCalled('Elsewhere'), 'UTC'), person.id);
    return person.id;
  });
  const called = `Another firm ${randomUUID()}`;
  const nora = await addFirm(called, 'Nora', 'oak-demo');
  if (!nora) throw new Error('the name is new');
  await inFirm(nora.firm, () => addHouse(houseCalled('Of another firm'), 'UTC'));
  return {
    guest: await cookieOf(firm, guest),
    nora: await cookieOf(nora.firm, nora.id),
    firm: called,
    leave: async () => void (await query('DELETE FROM firms WHERE id = $1', database, [nora.firm])),
  };
}
