'use client';

import { useEffect } from 'react';
import { takeAlong } from '@/client/away/takeAlong';

/** A page that is left at once takes nothing along. */
const AFTER_MS = 1500;

/**
 * Takes the house of a page along on this device, so that its crew can go on without a server, and has the device answer where
 * no server does.
 *
 * @param news changes when there is something new of the house
 */
export function KeepSeen({ house, news }: { readonly house: string; readonly news: string }) {
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is new is taken along
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return;
    const gone = new AbortController();
    const timer = setTimeout(() => void takeAlong(house, gone.signal), AFTER_MS);
    return () => {
      clearTimeout(timer);
      gone.abort();
    };
  }, [house, news]);
  return null;
}
