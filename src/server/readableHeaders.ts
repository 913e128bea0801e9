import { subscribe } from 'node:diagnostics_channel';
import type { IncomingMessage } from 'node:http';
import { parseAndValidateFlightRouterState } from 'next/dist/server/app-render/parse-and-validate-flight-router-state';

/** What a browser says that it shows already, when it asks for what changes. */
const STATE = 'next-router-state-tree';
/** What no request of the framework can be made of. */
const FORBIDDEN = ['TRACE', 'TRACK', 'CONNECT'];

/**
 * From now on a request whose header cannot be read, or whose method is none for it, is marked before it is looked at, by the framework's own reader: else
 * the framework answers it with a fault. `next.config.ts` sends what is marked to a plain refusal.
 */
export function watchHeaders(): void {
  subscribe('http.server.request.start', (message) => {
    const { request } = message as { readonly request: IncomingMessage };
    const { headers } = request;
    if (FORBIDDEN.includes(request.method ?? '')) {
      request.method = 'GET';
      headers[STATE] = 'unreadable';
      return;
    }
    try {
      parseAndValidateFlightRouterState(headers[STATE]);
    } catch {
      headers[STATE] = 'unreadable';
    }
  });
}
