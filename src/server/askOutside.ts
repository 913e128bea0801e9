import { lookup } from 'node:dns';
import { get } from 'node:http';
import { get as getSecurely } from 'node:https';
import { isIP, type LookupFunction } from 'node:net';
import ipaddr from 'ipaddr.js';

const LONGEST_MS = 5000;
const MOST_BYTES = 1_000_000;

export interface AskLimits {
  readonly longestMs?: number;
  /** Whether an address within the installation's own network may be asked. */
  readonly nearby?: boolean;
}

/**
 * JSON from an address outside that a person gave. Only http and https; nothing within the network of the server, which is
 * looked at when the name has been resolved, and on that very address the request goes; no redirects; at most 1 MB in 5 s.
 *
 * @returns undefined when there is no such JSON to be had, for whatever reason: who asks learns nothing of the network
 */
export async function askOutside(
  url: string,
  { longestMs = LONGEST_MS, nearby = process.env.OAK_NEARBY_SERVICES === '1' }: AskLimits = {},
): Promise<unknown> {
  if (!URL.canParse(url)) return undefined;
  const { protocol, hostname } = new URL(url);
  if (protocol !== 'http:' && protocol !== 'https:') return undefined;
  const literal = hostname.replace(/^\[|\]$/g, '');
  if (!nearby && isIP(literal) > 0 && !isPublic(literal)) return undefined;
  try {
    return JSON.parse(await bodyOf(url, protocol, nearby ? undefined : publicLookup, longestMs));
  } catch {
    return undefined;
  }
}

function isPublic(address: string): boolean {
  const read = ipaddr.process(address);
  // An old way to write an address of the other kind: `::127.0.0.1`.
  const isOther = read instanceof ipaddr.IPv6 && read.parts.slice(0, 6).every((part) => part === 0);
  return read.range() === 'unicast' && !isOther;
}

/** Resolves a name, unless any of its addresses lies within. */
const publicLookup: LookupFunction = (hostname, options, callback) =>
  lookup(hostname, { ...options, all: true }, (error, addresses) => {
    const [first] = addresses ?? [];
    if (error) return callback(error, '', 0);
    if (!first || !addresses.every(({ address }) => isPublic(address)))
      return callback(new Error('an address within'), '', 0);
    return options.all ? callback(null, addresses) : callback(null, first.address, first.family);
  });

function bodyOf(
  url: string,
  protocol: 'http:' | 'https:',
  resolver: LookupFunction | undefined,
  longestMs: number,
): Promise<string> {
  return new Promise((resolve, reject) => {
    const ask = protocol === 'https:' ? getSecurely : get;
    const options = {
      agent: false,
      headers: { accept: 'application/json' },
      signal: AbortSignal.timeout(longestMs),
      ...(resolver ? { lookup: resolver } : {}),
    } as const;
    const request = ask(url, options, (answer) => {
      if (answer.statusCode !== 200) return void request.destroy(new Error('another status'));
      const chunks: Buffer[] = [];
      let size = 0;
      answer.on('data', (chunk: Buffer) => {
        size += chunk.byteLength;
        if (size > MOST_BYTES) request.destroy(new Error('too large'));
        else chunks.push(chunk);
      });
      answer.on('end', () => resolve(Buffer.concat(chunks).toString('utf8')));
      answer.on('error', reject);
    });
    request.on('error', reject);
  });
}
