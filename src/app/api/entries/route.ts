import { handle } from '@/server/handle';
import { postEntries } from '@/server/postEntries';

/** Takes one entry or many into the log of a house. */
export const POST = (request: Request): Promise<Response> => handle(request, 'entries', () => postEntries(request));
