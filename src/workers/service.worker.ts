/// <reference lib="webworker" />
import { CacheFirst, ExpirationPlugin, NetworkOnly, type PrecacheEntry, Serwist } from 'serwist';

declare const self: ServiceWorkerGlobalScope & {
  /** What this version of the application consists of; written here when it is built. */
  readonly __SW_MANIFEST: readonly (PrecacheEntry | string)[];
};

/** A page is waited for so long before the device shows what it knows by itself. */
const PATIENCE_S = 6;

/**
 * Answers for the server where it does not: scripts, styles and fonts from what this version consists of, and any page by the one
 * that shows what this device keeps. Nothing of a house is in here.
 */
const worker = new Serwist({
  precacheEntries: [...self.__SW_MANIFEST],
  // A page goes on with the scripts it began with; what is new is there for the next one.
  skipWaiting: true,
  clientsClaim: true,
  runtimeCaching: [
    {
      matcher: ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/_next/static/'),
      handler: new CacheFirst({ cacheName: 'oak-scripts', plugins: [new ExpirationPlugin({ maxEntries: 200 })] }),
    },
    {
      matcher: ({ request }) => request.mode === 'navigate',
      handler: new NetworkOnly({ networkTimeoutSeconds: PATIENCE_S }),
    },
  ],
  fallbacks: { entries: [{ url: '/away', matcher: ({ request }) => request.destination === 'document' }] },
});
/**
 * A worker is told which scripts it consists of behind the `#` of its address, and takes its address from the answer: one that
 * was kept has lost that part, one without an address leaves it as it was asked for.
 */
async function workerScript(request: Request): Promise<Response> {
  const kept = await caches.match(request, { ignoreVary: true });
  const { body, headers, status } = kept ?? (await fetch(request));
  return new Response(body, { headers, status });
}
self.addEventListener('fetch', (event) => {
  if (event.request.destination !== 'worker') return;
  event.respondWith(workerScript(event.request));
  event.stopImmediatePropagation();
});
worker.addEventListeners();
