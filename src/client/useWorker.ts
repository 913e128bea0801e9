'use client';

import { type Remote, wrap } from 'comlink';
import { useEffect, useMemo, useRef } from 'react';

/** A worker of a page. */
export interface PageWorker<Api> {
  /** What it can be asked; it is started when it is needed first. */
  readonly ask: () => Remote<Api>;
  /** Whether an answer is still wanted: the worker that was asked has not been ended. */
  readonly isAsked: (remote: Remote<Api>) => boolean;
  /** Ends it in the middle of what it does. */
  readonly end: () => void;
}

/**
 * A worker that ends with the page.
 *
 * @param start `() => new Worker(new URL('…', import.meta.url), { type: 'module' })`, written out where it is called, for the
 *   bundler reads it there
 * @param failed is told when it could not be loaded, or broke
 */
export function useWorker<Api>(start: () => Worker, failed: () => void): PageWorker<Api> {
  // The remote is kept with its worker: one that is thrown away takes the worker's ear with it.
  const held = useRef<{ readonly worker: Worker; readonly remote: Remote<Api> }>(undefined);
  const how = useRef({ start, failed });
  how.current = { start, failed };
  useEffect(
    () => () => {
      held.current?.worker.terminate();
      held.current = undefined;
    },
    [],
  );
  return useMemo(
    () => ({
      ask: () => {
        if (!held.current) {
          const worker = how.current.start();
          worker.onerror = () => how.current.failed();
          held.current = { worker, remote: wrap<Api>(worker) };
        }
        return held.current.remote;
      },
      isAsked: (remote) => held.current?.remote === remote,
      end: () => {
        held.current?.worker.terminate();
        held.current = undefined;
      },
    }),
    [],
  );
}
