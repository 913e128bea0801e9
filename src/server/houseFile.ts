import { z } from 'zod';
import { findHouse } from '../db/houses';
import { refuse } from './reachable';
import { signedIn } from './session';

/** A house as a house file to keep; for anybody who is signed in. */
export async function houseFile(id: string): Promise<Response> {
  if (!(await signedIn())) return refuse(401, 'You are signed out.');
  const house = z.uuid().safeParse(id).success ? await findHouse(id.toLowerCase()) : undefined;
  if (!house) return refuse(404, 'There is no such house.');
  const file = { format: 'oak-tally-house', version: 1, ...house.head, rooms: house.rooms.map(({ room }) => room) };
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
