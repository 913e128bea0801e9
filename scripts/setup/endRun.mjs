import { readdirSync, readFileSync } from 'node:fs';
import { stopCluster } from './cluster.mjs';

const LONGEST_STOP_MS = 10_000;
const LOOK_MS = 50;
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** Ends what a run has started: its processes, which are marked by their environment, and after them its cluster. */
export async function endRun(run, { cluster }) {
  await endProcesses(run);
  if (cluster) await stopCluster(cluster);
}

async function endProcesses(run) {
  const since = Date.now();
  for (let asked = new Set(); ; await wait(LOOK_MS)) {
    const left = marked(run);
    if (left.length === 0) return;
    const late = Date.now() - since > LONGEST_STOP_MS;
    for (const pid of left) {
      if (asked.has(pid) && !late) continue;
      send(pid, late ? 'SIGKILL' : 'SIGTERM');
      asked = asked.add(pid);
    }
  }
}

function marked(run) {
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
