import { handle } from '@/server/handle';
import { liveStream } from '@/server/live/liveStream';

export const dynamic = 'force-dynamic';

/** The stream of what changes. */
export const GET = (request: Request): Promise<Response> => handle(request, 'live', () => liveStream(request));
