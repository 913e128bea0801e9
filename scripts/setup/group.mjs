import { spawn } from 'node:child_process';

/** Groups of processes that still run. */
const running = new Set();

/**
 * Runs a program in a group of its own, with everything that it starts itself.
 *
 * @returns its exit code
 */
export function runGroup(command, args, options) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio: ['ignore', 'inherit', 'inherit'], detached: true, ...options });
    running.add(child.pid);
    child.on('error', () => resolve(127));
    child.on('close', (code) => {
      // What the program left behind ends with it.
      end(child.pid);
      running.delete(child.pid);
      resolve(code ?? 1);
    });
  });
}

/** Ends every group that runs. */
export const endGroups = () => running.forEach(end);

function end(pid) {
  try {
    process.kill(-pid, 'SIGKILL');
  } catch {
    // It has ended already.
  }
}
