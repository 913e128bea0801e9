/**
 * Where browsers reach this application: what `OAK_PUBLIC_URL` says, for behind a proxy that asks under another name, else
 * what the request was sent to.
 *
 * @example publicAddress(headers).host  // 'oak.example.org'
 */
export function publicAddress(headers: Headers): { readonly host: string; readonly url: string } {
  const said = process.env.OAK_PUBLIC_URL;
  if (said !== undefined && URL.canParse(said)) {
    const { host, origin } = new URL(said);
    return { host, url: origin };
  }
  const host = headers.get('host') ?? '127.0.0.1';
  return { host, url: `${headers.get('x-forwarded-proto') ?? 'http'}://${host}` };
}
