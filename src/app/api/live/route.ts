import { liveStream } from '@/server/live/liveStream';
import { reachable } from '@/server/reachable';

export const dynamic = 'force-dynamic';

/** The stream of what changes. */
export const GET = (request: Request): Promise<Response> => reachable(() => liveStream(request));
