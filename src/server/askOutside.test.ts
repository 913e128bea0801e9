import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { askOutside } from './askOutside';

let server: Server;
let port = 0;
const asked: string[] = [];

beforeAll(async () => {
  server = createServer((request, response) => {
    asked.push(request.url ?? '');
    switch (request.url) {
      case '/good':
        return response.end('{"warm":true}');
      case '/moved':
        return response.writeHead(302, { location: '/good' }).end();
      case '/large':
        return response.end(`"${'x'.repeat(1_100_000)}"`);
      case '/slow':
        return response.write('{');
      default:
        return response.end('no json');
    }
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  port = (server.address() as AddressInfo).port;
});
afterAll(() => {
  server.closeAllConnections();
  server.close();
});

describe('what is asked outside', () => {
  it.each(['127.0.0.1', 'localhost', '0x7f.1', '[::ffff:127.0.0.1]', '0.0.0.0', '2130706433'])(
    'never is the network of the server: %s',
    async (host) => {
      asked.length = 0;
      expect(await askOutside(`http://${host}:${port}/good`, { nearby: false })).toBeUndefined();
      expect(asked).toEqual([]);
    },
  );

  it.each([
    'http://10.0.0.1/',
    'http://192.168.1.1/',
    'http://169.254.169.254/latest',
    'http://[fe80::1]/',
    'http://[fc00::1]/',
    'http://[::127.0.0.1]/',
    'http://[::10.0.0.1]/',
  ])('never is private or of the link: %s', async (url) => {
    expect(await askOutside(url, { nearby: false, longestMs: 50 })).toBeUndefined();
  });

  it('may be near where the installation says so', async () => {
    expect(await askOutside(`http://127.0.0.1:${port}/good`, { nearby: true })).toEqual({ warm: true });
  });

  it.each(['/moved', '/large', '/slow', '/text'])(
    'is nothing when it moves, is too large, too slow or no JSON: %s',
    async (path) => {
      expect(await askOutside(`http://127.0.0.1:${port}${path}`, { nearby: true, longestMs: 500 })).toBeUndefined();
    },
  );

  it.each(['ftp://example.org/', 'file:///etc/passwd', 'javascript:0', 'weather'])('is http only: %s', async (url) => {
    expect(await askOutside(url, { nearby: true })).toBeUndefined();
  });
});
