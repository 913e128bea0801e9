import { createHash } from 'node:crypto';
import { readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './place.mjs';

/** What a device keeps of a build: what pages are drawn with. */
const KEPT = /\.(js|css|woff2)$/;

/**
 * Bundles the service worker of a build into its folder, with the list of what the build consists of: scripts, styles and fonts
 * (their names change with what is in them), and the page that shows what a device keeps.
 */
export async function buildServiceWorker(folder) {
  const { build } = await import('esbuild');
  const { outputFiles } = await build({
    entryPoints: [join(root, 'src', 'workers', 'service.worker.ts')],
    bundle: true,
    minify: true,
    write: false,
    format: 'iife',
    target: 'es2022',
    define: { 'process.env.NODE_ENV': '"production"' },
  });
  const files = filesUnder(join(root, folder, 'static'), '/_next/static').filter((url) => KEPT.test(url));
  const version = createHash('sha256').update(files.join('\n')).digest('hex').slice(0, 16);
  const manifest = [{ url: '/away', revision: version }, ...files.map((url) => ({ url, revision: null }))];
  const script = outputFiles[0].text.replaceAll('self.__SW_MANIFEST', () => JSON.stringify(manifest));
  writeFileSync(join(root, folder, 'service-worker.js'), script);
}

function filesUnder(folder, url) {
  return readdirSync(folder, { withFileTypes: true })
    .flatMap((entry) =>
      entry.isDirectory() ? filesUnder(join(folder, entry.name), `${url}/${entry.name}`) : [`${url}/${entry.name}`],
    )
    .sort();
}
