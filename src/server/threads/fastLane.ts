import { AsyncLocalStorage } from 'node:async_hooks';
import { setImmediate } from 'node:timers/promises';

/** So long pages and computation wait at most for those in the fast lane, ms: a stream of them stops nobody. */
const LONGEST_WAIT_MS = 200;

interface Lane {
  /** How many are in it. */
  inside: number;
  /** Called when the last one leaves. */
  readonly waiting: Set<() => void>;
}

// One per process: pages and route handlers are compiled apart.
const holder: { oakFastLane?: Lane } = globalThis as typeof globalThis & { oakFastLane?: Lane };
holder.oakFastLane ??= { inside: 0, waiting: new Set() };
const lane = holder.oakFastLane;
const own = new AsyncLocalStorage<true>();

/** Runs something short that somebody waits for, such as recording an entry: pages and computation do not begin beside it. */
export async function inFastLane<Value>(run: () => Promise<Value>): Promise<Value> {
  lane.inside += 1;
  try {
    return await own.run(true, run);
  } finally {
    lane.inside -= 1;
    if (lane.inside === 0) for (const go of lane.waiting) go();
  }
}

/** Lets others be answered first: those in the fast lane to their end, if that comes soon. */
export async function afterFastLane(): Promise<void> {
  await setImmediate();
  if (lane.inside === 0 || own.getStore()) return;
  await new Promise<void>((resolve) => {
    const go = () => {
      clearTimeout(timer);
      lane.waiting.delete(go);
      resolve();
    };
    const timer = setTimeout(go, LONGEST_WAIT_MS);
    lane.waiting.add(go);
  });
}
