import { parentPort, workerData } from 'node:worker_threads';

/** Runs bundled test files one after the other with one mutant switched on, until a test fails. */
const { files, mutant } = workerData as { readonly files: readonly string[]; readonly mutant: number };
const seen = new Set<number>();
Reflect.set(globalThis, '__mutant', (id: number): boolean => {
  seen.add(id);
  return id === mutant;
});

async function failedIn(file: string): Promise<string | undefined> {
  try {
    const { tests } = (await import(file)) as { readonly tests: readonly (() => unknown)[] };
    for (const body of tests) await body();
    return undefined;
  } catch (error) {
    return String((error as Error).message).slice(0, 300);
  }
}

for (const file of files) {
  const begun = performance.now();
  const failure = await failedIn(file);
  parentPort?.postMessage({ file, failure, took: performance.now() - begun, seen: [...seen] });
  if (failure !== undefined) break;
}
