import { createServer, request } from 'node:http';

/** Hands each request on to the next of several servers, as a proxy before them would. */
export async function balancer(urls: readonly string[]): Promise<{ readonly url: string; readonly close: () => void }> {
  let turn = 0;
  const server = createServer((asked, answer) => {
    const next = new URL(asked.url ?? '/', urls[turn++ % urls.length]);
    const passed = request(
      next,
      {
        method: asked.method,
        headers: {
          ...asked.headers,
          'x-forwarded-for': asked.socket.remoteAddress,
          'x-forwarded-host': asked.headers.host,
        },
      },
      (from) => {
        answer.writeHead(from.statusCode ?? 502, from.headers);
        from.pipe(answer);
      },
    );
    passed.on('error', () => answer.destroy());
    answer.on('close', () => passed.destroy());
    asked.pipe(passed);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : 0;
  return {
    url: `http://127.0.0.1:${port}`,
    close: () => {
      server.closeAllConnections();
      server.close();
    },
  };
}
