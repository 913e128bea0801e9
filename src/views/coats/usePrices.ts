'use client';

import type { Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { useWorker } from '@/client/useWorker';
import type { Air } from '@/core/air/air';
import type { PricedMethod } from '@/core/estimate/priceAnswers';
import type { TakenRoom } from '@/core/estimate/priceOf';
import type { Scope } from '@/core/estimate/scope';
import type { HouseHead } from '@/core/house/schema';
import { sortedText } from '@/core/measure/sortedText';
import type { CrewPace } from '@/core/rates/learn';
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
  crew: CrewPace,
): { readonly prices: PricedMethod | undefined; readonly stale: boolean; readonly failed: boolean } {
  const asked = useRef(0);
  const last = useRef<{ readonly question: string; readonly of: Remote<PricesWorker> | undefined }>({
    question: '',
    of: undefined,
  });
  const [prices, setPrices] = useState<PricedMethod>();
  const [stale, setStale] = useState(true);
  const [failed, setFailed] = useState(false);
  const worker = useWorker<PricesWorker>(
    () => new Worker(new URL('../../workers/prices.worker.ts', import.meta.url), { type: 'module' }),
    () => setFailed(true),
  );
  useEffect(() => {
    const current = worker.ask();
    // The page sends the same house again after every change that was kept.
    const asking = rooms.map(({ room: { id, finish, method }, tally }) => ({ room: { id, finish, method }, tally }));
    const question = sortedText([house, asking, air, scope, crew]);
    if (question === last.current.question && last.current.of === current) return;
    last.current = { question, of: current };
    asked.current += 1;
    const turn = asked.current;
    setStale(true);
    current
      .priceAnswers(house, asking, air, scope, crew)
      .then((found) => {
        // An answer to an older question is no answer.
        if (turn !== asked.current || !worker.isAsked(current)) return;
        setPrices(found);
        setStale(false);
        setFailed(false);
      })
      .catch(() => setFailed(true));
  }, [house, rooms, air, scope, crew, worker]);
  return { prices, stale, failed };
}
