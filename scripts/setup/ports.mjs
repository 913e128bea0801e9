import { createServer } from 'node:net';

/** A free port on loopback. */
export function freePort() {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', reject);
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });
}

/** Why a port on loopback cannot be listened on: the code of the error, or undefined where it can. */
export function portTrouble(port) {
  return new Promise((resolve) => {
    const server = createServer();
    server.once('error', ({ code }) => resolve(code));
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(undefined)));
  });
}
