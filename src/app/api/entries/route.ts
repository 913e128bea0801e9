import { postEntries } from '@/server/postEntries';
import { reachable } from '@/server/reachable';

/** Takes one entry or many into the log of a house. */
export const POST = (request: Request): Promise<Response> => reachable(() => postEntries(request));
