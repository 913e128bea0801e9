import { gzipSync } from 'node:zlib';

/** Of each file of script, by its address: views share most of theirs. */
const sizes = new Map<string, Promise<number>>();

/** How much script a browser asks for with a page, compressed, in bytes; what comes later or is for browsers before today's is not in it. */
export async function firstScript(address: string, cookie: string): Promise<number> {
  const html = await (await fetch(address, { headers: { cookie } })).text();
  const scripts = [...html.matchAll(/<script[^>]* src="([^"]+)"[^>]*>/g)];
  const files = new Set(scripts.filter(([tag]) => !/nomodule/i.test(tag)).map(([, src]) => src ?? ''));
  let bytes = 0;
  for (const src of files) bytes += await sizeOf(new URL(src, address).href);
  return bytes;
}

function sizeOf(script: string): Promise<number> {
  const known = sizes.get(script) ?? fetch(script).then(async (answer) => gzipSync(await answer.text()).length);
  sizes.set(script, known);
  return known;
}
