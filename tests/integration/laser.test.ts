import { aroundAll, beforeAll, describe, expect, it } from 'vitest';
import { inFirm } from '@/db/firm';
import { findLaser, type LaserReading, makeLaser } from '@/db/lasers';
import { listenForChanges } from '@/db/listenForChanges';
import { addPerson, type Member, removePerson } from '@/db/people';
import { endSecret } from '@/db/secrets';
import { postLaser } from '@/server/postLaser';
import { asTestFirm, newFirm } from './asTestFirm';

let lead: Member;
let ines: string;

aroundAll(asTestFirm);
beforeAll(async () => {
  lead = await newFirm();
  ines = (await inFirm(lead.firm, () => addPerson('Ines', 'lead', 'a long password')))?.id ?? '';
});
const within = <Value>(run: () => Promise<Value>) => inFirm(lead.firm, run);
const post = (body: string | undefined, key?: string) =>
  postLaser(
    new Request('http://here.example/api/laser', {
      method: 'POST',
      ...(body === undefined ? {} : { body }),
      headers: key ? { authorization: `Bearer ${key}` } : {},
    }),
  );

describe('a laser measure', () => {
  it('is one person’s: a new key ends the one before, and so does leaving', async () => {
    const first = await within(() => makeLaser(lead.id));
    expect(await findLaser(first)).toEqual({ firm: lead.firm, person: lead.id });
    const second = await within(() => makeLaser(lead.id));
    expect(await findLaser(first)).toBeUndefined();
    expect(await findLaser(second)).toEqual({ firm: lead.firm, person: lead.id });
    await within(() => endSecret({ person: lead.id, kind: 'laser' }));
    expect(await findLaser(second)).toBeUndefined();
    const theirs = await within(() => makeLaser(ines));
    await within(() => removePerson(ines, new Date('2031-05-06T10:00:00Z')));
    expect(await findLaser(theirs)).toBeUndefined();
  });

  it('tells its readings to whoever listens, each line one, and says which it refuses', async () => {
    const key = await within(() => makeLaser(lead.id));
    const heard: LaserReading[] = [];
    let ready = false;
    const nothing = () => {};
    const stop = listenForChanges(
      nothing,
      () => (ready = true),
      nothing,
      (reading) => heard.push(reading),
    );
    const until = async (done: () => boolean) => {
      while (!done()) await new Promise((resolve) => setImmediate(resolve));
    };
    await until(() => ready);
    const answer = await post('3.766 m\n12\' 4 1/2"\r\nERR 204\n', key);
    expect([answer.status, await answer.json()]).toEqual([
      200,
      { read: 2, refused: [{ line: 3, reason: expect.stringMatching(/does not belong/) }] },
    ]);
    await until(() => heard.length === 2);
    stop();
    expect(heard).toEqual([
      { firm: lead.firm, person: lead.id, mm: 3766 },
      { firm: lead.firm, person: lead.id, mm: expect.closeTo(3771.9, 6) },
    ]);
  });

  it('is refused with a wrong key, without one, and with what is no reading', async () => {
    const key = await within(() => makeLaser(lead.id));
    const told = async (answer: Response) => [answer.status, (await answer.json()).message];
    expect(await told(await post('3 m'))).toEqual([401, expect.stringContaining('key is missing')]);
    expect(await told(await post('3 m', 'oak_wrong'))).toEqual([401, 'No laser measure has this key.']);
    expect(await told(await post('3766', key))).toEqual([400, expect.stringMatching(/^Line 1 says no unit/)]);
    expect(await told(await post('', key))).toEqual([400, 'There is no reading in this.']);
    expect(await told(await post(undefined, key))).toEqual([400, 'There is no reading in this.']);
    expect(await told(await post('3 m\n'.repeat(21), key))).toEqual([400, 'At most 20 readings at once.']);
    expect(await told(await post('3 m\n'.repeat(2000), key))).toEqual([413, 'A reading is a short line.']);
  });
});
