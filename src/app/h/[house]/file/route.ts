import { z } from 'zod';
import { findHouse } from '@/db/houses';
import { signedIn } from '@/server/session';

/** The house as a house file. */
export async function GET(_request: Request, { params }: { params: Promise<{ house: string }> }): Promise<Response> {
  if (!(await signedIn())) return Response.json({ message: 'You are signed out.' }, { status: 401 });
  const { house: id } = await params;
  const house = z.uuid().safeParse(id).success ? await findHouse(id) : undefined;
  if (!house) return Response.json({ message: 'There is no such house.' }, { status: 404 });
  const file = { format: 'oak-tally-house', version: 1, ...house.head, rooms: house.rooms.map(({ room }) => room) };
  const name =
    house.head.name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'house';
  return new Response(`${JSON.stringify(file, null, 2)}\n`, {
    headers: { 'content-type': 'application/json', 'content-disposition': `attachment; filename="${name}.json"` },
  });
}
