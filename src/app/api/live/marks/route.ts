import { liveMarks } from '@/server/live/liveStream';
import { reachable } from '@/server/reachable';

export const dynamic = 'force-dynamic';

/** How far every house has come. */
export const GET = (): Promise<Response> => reachable(liveMarks);
