import { subscribe } from 'node:diagnostics_channel';
import type { Socket } from 'node:net';

/** Whoever has begun to ask has so long to say what, ms, once the server is to stop. */
const BEGUN_MS = 1000;

/**
 * From now on a server that is to stop ends connections on which nothing was asked. Browsers and proxies open some to spare, and
 * Node waits for each of them as for an answer that is on its way.
 */
export function endUnusedAtStop(): void {
  const unused = new Set<Socket>();
  subscribe('net.server.socket', (message) => {
    const { socket } = message as { readonly socket: Socket };
    unused.add(socket);
    socket.once('close', () => unused.delete(socket));
  });
  subscribe('http.server.request.start', (message) => {
    unused.delete((message as { readonly socket: Socket }).socket);
  });
  const end = () => {
    for (const socket of unused) if (socket.bytesRead === 0) socket.destroy();
    setTimeout(() => {
      for (const socket of unused) socket.destroy();
    }, BEGUN_MS).unref();
  };
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, end);
}
