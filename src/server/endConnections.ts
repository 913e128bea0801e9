import { subscribe } from 'node:diagnostics_channel';
import type { Server, ServerResponse } from 'node:http';
import type { Socket } from 'node:net';

/** Whoever has begun to ask has so long to say what, ms, once the server is to stop. */
const BEGUN_MS = 1000;
/** Whoever is still being answered then is cut off, ms. */
const LONGEST_MS = 8000;

interface RequestStart {
  readonly response: ServerResponse;
  readonly socket: Socket;
  readonly server: Server;
}

/**
 * From now on a server that is told to stop ends its connections: those on which nothing was asked, those that wait for the next request,
 * and each of the others with its answer. Node by itself waits for all of them, and a browser that asks on over a kept connection would
 * keep the server from stopping.
 */
export function endConnectionsAtStop(): void {
  const unused = new Set<Socket>();
  const servers = new Set<Server>();
  const open = new Set<ServerResponse>();
  let stopping = false;
  subscribe('net.server.socket', (message) => {
    const { socket } = message as { readonly socket: Socket };
    unused.add(socket);
    socket.once('close', () => unused.delete(socket));
  });
  subscribe('http.server.request.start', (message) => {
    const { response, socket, server } = message as RequestStart;
    unused.delete(socket);
    servers.add(server);
    open.add(response);
    response.once('close', () => open.delete(response));
    if (stopping) endWith(response);
  });
  const end = () => {
    stopping = true;
    for (const response of open) endWith(response);
    for (const server of servers) server.closeIdleConnections();
    for (const socket of unused) if (socket.bytesRead === 0) socket.destroy();
    setTimeout(() => {
      for (const socket of unused) socket.destroy();
    }, BEGUN_MS).unref();
    setTimeout(() => {
      for (const server of servers) server.closeAllConnections();
    }, LONGEST_MS).unref();
  };
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, end);
}

/** Lets a connection end with its answer, and tells so where nothing of the answer is on its way yet. */
function endWith(response: ServerResponse): void {
  response.shouldKeepAlive = false;
  if (response.headersSent) response.once('finish', () => response.socket?.destroySoon());
}
