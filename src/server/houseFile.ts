import { z } from 'zod';
import { inFirm } from '../db/firm';
import { findHouse } from '../db/houses';
import type { Member } from '../db/people';
import { isOpenTo } from '../db/viewers';
import { refuse } from './refuse';
import { signedIn } from './session';

/** A house as a house file to keep, for those whose house it is. */
export async function houseFile(id: string): Promise<Response> {
  const person = await signedIn();
  if (!person) return refuse(401, 'You are signed out.');
  const house = z.uuid().safeParse(id).success ? await houseFor(person, id.toLowerCase()) : undefined;
  if (!house) return refuse(404, 'There is no such house.');
  const file = { format: 'oak-tally-house', version: 2, ...house.head, rooms: house.rooms.map(({ room }) => room) };
  const name =
    house.head.name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'house';
  return new Response(`${JSON.stringify(file, null, 2)}\n`, {
    headers: {
      'content-type': 'application/json',
      'cache-control': 'no-store',
      'content-disposition': `attachment; filename="${name}.json"`,
    },
  });
}

const houseFor = (person: Member, id: string) =>
  inFirm(person.firm, async () => ((await isOpenTo(person, id)) ? findHouse(id) : undefined));
