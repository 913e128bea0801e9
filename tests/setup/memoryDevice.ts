import * as fake from 'fake-indexeddb';

/** Gives a test the store of a device, in memory. By hand: other tests of the same thread put a window in the place where it would go by itself. */
export function memoryDevice(): void {
  const { default: indexedDB, ...classes } = fake;
  Object.assign(globalThis, classes, { indexedDB });
}
