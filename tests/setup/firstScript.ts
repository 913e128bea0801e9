import { gzipSync } from 'node:zlib';

/** How much script a browser asks for with a page, compressed, in bytes; what comes later or is for browsers before today's is not in it. */
export async function firstScript(address: string, cookie: string): Promise<number> {
  const html = await (await fetch(address, { headers: { cookie } })).text();
  const scripts = [...html.matchAll(/<script[^>]* src="([^"]+)"[^>]*>/g)];
  const files = new Set(scripts.filter(([tag]) => !/nomodule/i.test(tag)).map(([, src]) => src ?? ''));
  let bytes = 0;
  for (const src of files) bytes += gzipSync(await (await fetch(new URL(src, address))).text()).length;
  return bytes;
}
