'use client';

import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Air } from '@/core/air/air';
import type { PricedMethod } from '@/core/estimate/priceAnswers';
import type { TakenRoom } from '@/core/estimate/priceOf';
import type { Scope } from '@/core/estimate/scope';
import type { HouseHead } from '@/core/house/schema';
import { sortedText } from '@/ui/sortedText';
import type { PricesWorker } from '@/workers/prices.worker';

/**
 * The prices of all answers for the house as it is drafted, worked out in a worker; the last ones stay, as stale ones, until
 * new ones come.
 */
export function usePrices(
  house: Pick<HouseHead, 'unit' | 'method'>,
  rooms: readonly TakenRoom[],
  air: Air,
  scope: Scope,
): { readonly prices: PricedMethod | undefined; readonly stale: boolean; readonly failed: boolean } {
  // The remote is kept: one that is thrown away takes the worker's ear with it.
  const remote = useRef<Remote<PricesWorker>>(undefined);
  const asked = useRef(0);
  const last = useRef('');
  const [prices, setPrices] = useState<PricedMethod>();
  const [stale, setStale] = useState(true);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    const started = new Worker(new URL('../../workers/prices.worker.ts', import.meta.url), { type: 'module' });
    started.onerror = () => setFailed(true);
    remote.current = wrap<PricesWorker>(started);
    last.current = '';
    return () => {
      remote.current = undefined;
      started.terminate();
    };
  }, []);
  useEffect(() => {
    const current = remote.current;
    if (!current) return;
    // The page sends the same house again after every change that was kept.
    const asking = rooms.map(({ room: { id, finish, method }, tally }) => ({ room: { id, finish, method }, tally }));
    const question = sortedText([house, asking, air, scope]);
    if (question === last.current) return;
    last.current = question;
    asked.current += 1;
    const turn = asked.current;
    setStale(true);
    current
      .priceAnswers(house, asking, air, scope)
      .then((found) => {
        // An answer to an older question is no answer.
        if (turn !== asked.current || remote.current !== current) return;
        setPrices(found);
        setStale(false);
        setFailed(false);
      })
      .catch(() => setFailed(true));
  }, [house, rooms, air, scope]);
  return { prices, stale, failed };
}
