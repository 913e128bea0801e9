import { AsyncLocalStorage } from 'node:async_hooks';
import { setImmediate } from 'node:timers/promises';

/** Pages and computation wait for the fast lane no longer than this, so a stream of entries can't block them. ms */
const LONGEST_WAIT_MS = 200;

interface Lane {
  /** Number of requests in the lane. */
  inside: number;
  /** Called when the last one leaves. */
  readonly waiting: Set<() => void>;
}

// One per process: pages and route handlers are compiled apart.
const holder: { oakFastLane?: Lane } = globalThis as typeof globalThis & { oakFastLane?: Lane };
holder.oakFastLane ??= { inside: 0, waiting: new Set() };
const lane = holder.oakFastLane;
const own = new AsyncLocalStorage<true>();

/** Runs a short request, such as recording an entry. Pages and computation wait until it is done. */
export async function inFastLane<Value>(run: () => Promise<Value>): Promise<Value> {
  lane.inside += 1;
  try {
    return await own.run(true, run);
  } finally {
    lane.inside -= 1;
    if (lane.inside === 0) for (const go of lane.waiting) go();
  }
}

/** Waits until the requests in the fast lane are done, at most `LONGEST_WAIT_MS`. */
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
