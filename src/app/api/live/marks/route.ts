import { handle } from '@/server/handle';
import { liveMarks } from '@/server/live/liveStream';

export const dynamic = 'force-dynamic';

/** How far every house has come. */
export const GET = (request: Request): Promise<Response> => handle(request, 'live marks', liveMarks);
