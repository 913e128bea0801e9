import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { refuse } from './refuse';

/** Where the build puts it, see `scripts/setup/serviceWorker.mjs`. */
const FILE = 'service-worker.js';

/** The service worker of this build; there is none while the sources are served as they change. */
export async function serviceWorker(): Promise<Response> {
  const script = await readFile(join(process.cwd(), process.env.OAK_BUILD_DIR ?? '.next', FILE)).catch(() => undefined);
  if (!script) return refuse(404, 'There is no service worker while the sources are served as they change.');
  return new Response(new Uint8Array(script), {
    headers: {
      'content-type': 'text/javascript; charset=utf-8',
      'cache-control': 'no-cache',
      'service-worker-allowed': '/',
    },
  });
}
