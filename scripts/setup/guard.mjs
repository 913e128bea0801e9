import { readdirSync, readFileSync, rmSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { stopCluster } from './cluster.mjs';
import { writeWhole } from './place.mjs';

/**
 * Holds the lock of a run (see `onlyRun`), under which it was started. It reads what there is to stop, one line of JSON at
 * a time; when the run ends or is killed its lines end, and all of it is stopped.
 */
const [run, placeFile, start] = process.argv.slice(2);
const LONGEST_STOP_MS = 10_000;
const LOOK_MS = 50;
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

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
  await endProcesses();
  if (facts.cluster) await stopCluster(facts.cluster);
  rmSync(placeFile, { force: true });
  process.exit(0);
});
process.stdout.write('held\n');

/** Ends what the run has started: each is marked by its environment. */
async function endProcesses() {
  const since = Date.now();
  for (let asked = new Set(); ; await wait(LOOK_MS)) {
    const left = marked();
    if (left.length === 0) return;
    const late = Date.now() - since > LONGEST_STOP_MS;
    for (const pid of left) {
      if (asked.has(pid) && !late) continue;
      send(pid, late ? 'SIGKILL' : 'SIGTERM');
      asked = asked.add(pid);
    }
  }
}

function marked() {
  return readdirSync('/proc').filter((pid) => {
    if (!/^\d+$/.test(pid) || Number(pid) === process.pid) return false;
    try {
      if (/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'))) return false;
      return readFileSync(`/proc/${pid}/environ`, 'utf8').split('\0').includes(`OAK_RUN=${run}`);
    } catch {
      // It has ended meanwhile, or belongs to somebody else.
      return false;
    }
  });
}

function send(pid, signal) {
  try {
    process.kill(Number(pid), signal);
  } catch {
    // It has ended meanwhile.
  }
}
