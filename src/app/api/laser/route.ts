import { handle } from '@/server/handle';
import { postLaser } from '@/server/postLaser';

/** Takes readings from a laser measure. */
export const POST = (request: Request): Promise<Response> => handle(request, 'laser', () => postLaser(request));
