import { whoIsThere } from '@/server/firstStart';
import { reachable } from '@/server/reachable';

export const dynamic = 'force-dynamic';

/** Answers once the server and its database do. */
export const GET = (): Promise<Response> =>
  reachable(async () => {
    await whoIsThere();
    return Response.json({ ok: true });
  });
