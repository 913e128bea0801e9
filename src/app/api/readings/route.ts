import { handle } from '@/server/handle';
import { postReadings } from '@/server/postReadings';

/** Takes readings from a device. */
export const POST = (request: Request): Promise<Response> => handle(request, 'readings', () => postReadings(request));
