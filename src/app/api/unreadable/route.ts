import { handle } from '@/server/handle';
import { refuse } from '@/server/refuse';

/** Where `next.config.ts` leads requests whose headers say nothing that the framework could read. */
const answer = (request: Request): Promise<Response> =>
  handle(request, 'unreadable', async () =>
    refuse(400, 'This request cannot be read: its method or one of its headers is wrong.'),
  );

export { answer as DELETE, answer as GET, answer as OPTIONS, answer as PATCH, answer as POST, answer as PUT };
