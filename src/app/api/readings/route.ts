import { postReadings } from '@/server/postReadings';
import { reachable } from '@/server/reachable';

/** Takes readings from a device. */
export const POST = (request: Request): Promise<Response> => reachable(() => postReadings(request));
