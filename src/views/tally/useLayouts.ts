'use client';

import { proxy, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { LayoutPrice } from '@/core/estimate/priceOfLayouts';
import type { HouseHead } from '@/core/house/schema';
import type { Room } from '@/core/room/schema';
import type { LayoutsWorker } from '@/workers/layouts.worker';

/** Where a comparison of layouts stands. */
export interface LayoutSearch {
  readonly prices: readonly LayoutPrice[] | undefined;
  /** 0–1 while it runs. */
  readonly progress: number | undefined;
  readonly failed: boolean;
  readonly compare: (rooms: readonly Room[]) => void;
  readonly cancel: () => void;
}

/** Compares layouts in a worker of its own; a new question, or leaving, ends the old one. */
export function useLayouts(house: HouseHead): LayoutSearch {
  const worker = useRef<Worker>(undefined);
  const [prices, setPrices] = useState<readonly LayoutPrice[]>();
  const [progress, setProgress] = useState<number>();
  const [failed, setFailed] = useState(false);

  const stop = () => {
    worker.current?.terminate();
    worker.current = undefined;
  };
  useEffect(() => () => worker.current?.terminate(), []);

  async function compare(rooms: readonly Room[]): Promise<void> {
    stop();
    const started = new Worker(new URL('../../workers/layouts.worker.ts', import.meta.url), { type: 'module' });
    worker.current = started;
    setProgress(0);
    setFailed(false);
    started.onerror = () => {
      setFailed(true);
      setProgress(undefined);
    };
    const layouts = wrap<LayoutsWorker>(started);
    try {
      const found = await layouts.priceOfLayouts(
        rooms,
        house,
        proxy((done: number) => {
          if (worker.current === started) setProgress(done);
        }),
      );
      if (worker.current !== started) return;
      setPrices(found);
    } catch {
      setFailed(true);
    }
    if (worker.current !== started) return;
    setProgress(undefined);
    stop();
  }
  const cancel = () => {
    stop();
    setProgress(undefined);
  };
  return { prices, progress, failed, compare: (rooms) => void compare(rooms), cancel };
}
