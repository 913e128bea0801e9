import { spawn, spawnSync } from 'node:child_process';

/** Runs a command to its end and returns `{ code, output }`; output is captured unless `show`. */
export function run(command, args, { show = false, ...options } = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      stdio: show ? ['ignore', 'inherit', 'inherit'] : ['ignore', 'pipe', 'pipe'],
      ...options,
    });
    let output = '';
    child.stdout?.on('data', (data) => (output += data));
    child.stderr?.on('data', (data) => (output += data));
    child.on('error', (error) => resolve({ code: 127, output: String(error) }));
    child.on('close', (code, signal) => resolve({ code: code ?? (signal ? 130 : 1), output }));
  });
}

/** The path of a program on the PATH, or undefined. */
export function findProgram(name) {
  const found = spawnSync('sh', ['-c', `command -v ${name}`], { encoding: 'utf8' });
  return found.status === 0 ? found.stdout.trim() : undefined;
}

export const isRoot = () => process.getuid?.() === 0;
