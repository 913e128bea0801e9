import { rmSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { endRun } from './endRun.mjs';
import { writeWhole } from './place.mjs';

/**
 * Holds the lock of a run (see `onlyRun`), under which it was started. It reads what there is to stop, one line of JSON at
 * a time; when the run ends or is killed its lines end, and all of it is stopped.
 */
const [run, placeFile, start] = process.argv.slice(2);

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => {});

let facts = {};
/** Tells who looks for another run how far this one is. */
const tell = (stopping) => writeWhole(placeFile, JSON.stringify({ start: Number(start), port: facts.port, stopping }));
tell(false);
const lines = createInterface({ input: process.stdin });
lines.on('line', (line) => {
  facts = { ...facts, ...JSON.parse(line) };
  tell(false);
});
lines.on('close', async () => {
  tell(true);
  await endRun(run, facts);
  rmSync(placeFile, { force: true });
  process.exit(0);
});
process.stdout.write('held\n');
