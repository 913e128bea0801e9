/**
 * Where browsers reach this application: what `OAK_PUBLIC_URL` says, for behind a proxy that asks under another name, else
 * what the request was sent to.
 *
 * @example publicAddress(headers)  // 'https://oak.example.org'
 */
export function publicAddress(headers: Headers): string {
  const given = process.env.OAK_PUBLIC_URL;
  if (given !== undefined && URL.canParse(given)) return new URL(given).origin;
  return `${protocolOf(headers)}://${headers.get('host') ?? '127.0.0.1'}`;
}

/** Returns the protocol by which browsers reach this application: cookies that go over TLS only say that it is TLS. */
const protocolOf = (headers: Headers): string =>
  process.env.OAK_SECURE_COOKIES === '1'
    ? 'https'
    : (headers.get('x-forwarded-proto')?.split(',')[0]?.trim() ?? 'http');
