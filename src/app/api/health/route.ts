import { anyPeople } from '@/db/people';

export const dynamic = 'force-dynamic';

/** Answers once the server and its database do. */
export async function GET(): Promise<Response> {
  await anyPeople();
  return Response.json({ ok: true });
}
