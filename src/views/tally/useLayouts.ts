'use client';

import { proxy } from 'comlink';
import { useState } from 'react';
import { useWorker } from '@/client/useWorker';
import type { StockAnswer } from '@/core/estimate/betterStock';
import type { LayoutPrice } from '@/core/estimate/priceOfLayouts';
import type { HouseHead } from '@/core/house/schema';
import type { Room } from '@/core/room/schema';
import type { LayoutsWorker } from '@/workers/layouts.worker';

/** Where a comparison of layouts stands. */
export interface LayoutSearch {
  readonly prices: readonly LayoutPrice[] | undefined;
  /** What other boards would save. */
  readonly better: readonly StockAnswer[] | undefined;
  /** 0–1 while it runs. */
  readonly progress: number | undefined;
  readonly failed: boolean;
  readonly compare: (rooms: readonly Room[]) => void;
  readonly cancel: () => void;
}

/** Compares layouts in a worker of its own; a new question, or leaving, ends the old one. */
export function useLayouts(house: HouseHead): LayoutSearch {
  const [prices, setPrices] = useState<readonly LayoutPrice[]>();
  const [better, setBetter] = useState<readonly StockAnswer[]>();
  const [progress, setProgress] = useState<number>();
  const [failed, setFailed] = useState(false);

  const worker = useWorker<LayoutsWorker>(
    () => new Worker(new URL('../../workers/layouts.worker.ts', import.meta.url), { type: 'module' }),
    () => {
      setFailed(true);
      setProgress(undefined);
    },
  );

  async function compare(rooms: readonly Room[]): Promise<void> {
    worker.end();
    setProgress(0);
    setFailed(false);
    setBetter(undefined);
    const layouts = worker.ask();
    try {
      const found = await layouts.priceOfLayouts(
        rooms,
        house,
        proxy((done: number) => {
          if (worker.isAsked(layouts)) setProgress(done);
        }),
      );
      if (!worker.isAsked(layouts)) return;
      setPrices(found);
      const saved = await layouts.betterStock(rooms, house);
      if (!worker.isAsked(layouts)) return;
      setBetter(saved);
    } catch {
      setFailed(true);
    }
    if (!worker.isAsked(layouts)) return;
    setProgress(undefined);
    worker.end();
  }
  const cancel = () => {
    worker.end();
    setProgress(undefined);
  };
  return { prices, better, progress, failed, compare: (rooms) => void compare(rooms), cancel };
}
