import { Trouble } from './say.mjs';

/** Refuses a Node that the application cannot run on. */
export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 9)) {
    throw new Trouble(`Oak Tally needs Node 20.9 or newer; this is ${process.versions.node}.`);
  }
}
