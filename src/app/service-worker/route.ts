import { serviceWorker } from '@/server/serviceWorker';

/** `GET /service-worker`: the script by which a device answers where no server does. */
export const GET = (): Promise<Response> => serviceWorker();
export const dynamic = 'force-dynamic';
