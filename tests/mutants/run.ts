import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { basename, join, resolve } from 'node:path';
import { Worker } from 'node:worker_threads';
import { build } from 'esbuild';
import { EQUIVALENT } from './equivalent';
import { type Mutant, mutate } from './mutate';

/**
 * Changes the core in small ways, one at a time, and tells which changes no unit test notices: `npm run mutants [-- part of a path]`.
 * Red where fewer than 85 % are caught.
 */
const ROOT = resolve(import.meta.dirname, '../..');
const CHANGED = ['log', 'standing', 'readiness', 'inspect', 'drying', 'rates'];
/** Their own tests; those of what is made of them prove something else, and take long. */
const TESTED = [...CHANGED, 'rules'];
const LEAST = 0.85;
const NONE = -1;
/** What takes longer than this, and than five times as long as usual, hangs. */
const PATIENCE_MS = 4000;
/** Simulations and long histories, which prove something else: they are asked only about the file beside them. */
const SLOW = ['src_core_drying_touch.test', 'src_core_standing_roomEdits.test'];

interface Ran {
  readonly file: string;
  readonly failure: string | undefined;
  readonly took: number;
  readonly seen: readonly number[];
}

const out = join(ROOT, 'node_modules/.cache/mutants');
const filesIn = (part: string) => readdirSync(join(ROOT, 'src/core', part)).map((name) => `src/core/${part}/${name}`);
const asked = process.argv[2];
const sources = CHANGED.flatMap(filesIn).filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'));
const tests = [...TESTED.flatMap(filesIn).filter((file) => file.endsWith('.test.ts')), 'src/cli/stateReport.test.ts'];

const changed = new Map<string, string>();
const mutants: Mutant[] = [];
for (const file of sources) {
  const made = mutate(file, readFileSync(join(ROOT, file), 'utf8'), mutants.length);
  changed.set(join(ROOT, file), made.text);
  mutants.push(...made.mutants);
}

rmSync(out, { recursive: true, force: true });
mkdirSync(out, { recursive: true });
const bundled = tests.map((file) => ({ file, bundle: join(out, `${file.replaceAll('/', '_')}.mjs`) }));
await Promise.all(
  bundled.map(async ({ file, bundle }) => {
    await build({
      stdin: {
        contents: `import ${JSON.stringify(join(ROOT, 'tests/setup/seed.ts'))};\nimport ${JSON.stringify(join(ROOT, file))};\nexport { tests } from ${JSON.stringify(join(ROOT, 'tests/mutants/shim.ts'))};`,
        resolveDir: ROOT,
      },
      outfile: bundle,
      bundle: true,
      platform: 'node',
      format: 'esm',
      logLevel: 'error',
      alias: { vitest: join(ROOT, 'tests/mutants/shim.ts'), '@': join(ROOT, 'src') },
      external: ['chai', '@vitest/*', 'zod', 'fast-check', 'date-fns', '@date-fns/*'],
      plugins: [
        {
          name: 'mutants',
          setup: ({ onLoad }) => {
            onLoad({ filter: /\/src\/core\// }, ({ path }) => {
              const contents = changed.get(path);
              return contents === undefined ? undefined : { contents, loader: 'ts' };
            });
          },
        },
      ],
    });
  }),
);
writeFileSync(
  join(out, 'worker.mjs'),
  (
    await build({
      entryPoints: [join(ROOT, 'tests/mutants/worker.ts')],
      bundle: true,
      write: false,
      platform: 'node',
      format: 'esm',
    })
  ).outputFiles[0]?.text ?? '',
);

/** Runs bundles with a mutant until one fails, or takes too long. */
function run(files: readonly string[], mutant: number, patience: number): Promise<readonly Ran[]> {
  return new Promise((done) => {
    const ran: Ran[] = [];
    const worker = new Worker(join(out, 'worker.mjs'), { workerData: { files, mutant }, stdout: true, stderr: true });
    const late = setTimeout(() => {
      ran.push({ file: files[0] ?? '', failure: 'takes too long', took: patience, seen: [] });
      void worker.terminate();
    }, patience);
    worker.on('message', (one: Ran) => ran.push(one));
    worker.on('error', (error) => ran.push({ file: files[0] ?? '', failure: error.message, took: 0, seen: [] }));
    worker.on('exit', () => {
      clearTimeout(late);
      done(ran);
    });
  });
}

interface Cover {
  readonly bundle: string;
  readonly took: number;
  readonly seen: ReadonlySet<number>;
}
const covers: Cover[] = [];
for (const { file, bundle } of bundled) {
  const [ran] = await run([bundle], NONE, 600_000);
  if (!ran || ran.failure !== undefined) throw new Error(`${file} fails without a mutant: ${ran?.failure}`);
  covers.push({ bundle, took: ran.took, seen: new Set(ran.seen) });
}
covers.sort((a, b) => a.took - b.took);
const isAsked = ({ bundle, seen }: Cover, { id, file }: Mutant): boolean =>
  seen.has(id) &&
  (!SLOW.some((slow) => bundle.includes(slow)) || bundle.includes(`${file.replaceAll('/', '_').slice(0, -3)}.test`));

const reasonOf = ({ file, from, to }: Mutant) =>
  EQUIVALENT.find((one) => one.file === basename(file) && one.from === from && one.to === to)?.why;

const survivors: Mutant[] = [];
const queue = mutants.filter(({ file }) => asked === undefined || file.includes(asked));
const count = queue.length;
const next = queue[Symbol.iterator]();
let tried = 0;
await Promise.all(
  cpus().map(async () => {
    for (const mutant of next) {
      // The tests beside it notice most.
      const folder = mutant.file.split('/').slice(0, -1).join('_');
      const isBeside = ({ bundle }: Cover) => Number(basename(bundle).startsWith(folder));
      const own = covers.filter((cover) => isAsked(cover, mutant)).sort((a, b) => isBeside(b) - isBeside(a));
      const usual = own.reduce((sum, { took }) => sum + took, 0);
      const ran = await run(
        own.map(({ bundle }) => bundle),
        mutant.id,
        PATIENCE_MS + 5 * usual,
      );
      if (ran.every(({ failure }) => failure === undefined)) {
        survivors.push(mutant);
        if (reasonOf(mutant) === undefined) tell(mutant);
      }
      tried += 1;
      if (tried % 100 === 0) console.log(`${tried} of ${count}, ${survivors.length} not noticed`);
    }
  }),
);

const same = survivors.filter((mutant) => reasonOf(mutant) !== undefined).length;
const share = count === same ? 1 : (count - survivors.length) / (count - same);
console.log(
  `${count} mutants, ${count - survivors.length} caught, ${same} say the same; ${(share * 100).toFixed(1)} % of the others caught`,
);
process.exitCode = share >= LEAST ? 0 : 1;

function tell({ file, line, from, to }: Mutant): void {
  console.log(`${file}:${line}\n    ${flat(from)}\n    ${flat(to)}`);
}

function flat(text: string): string {
  return text.replace(/\s+/g, ' ').slice(0, 150);
}
