'use client';

import { useEffect, useState } from 'react';
import type { OwnHours } from '@/contract/plan';
import { spanWords } from '@/words/when';

/** Less is told in one number. */
const FIVE_MINUTES = 1 / 12;

/**
 * Says how long the work takes: what of it can be done today, by the plan that the run sheet shows, and what it takes in all. Without a server
 * only that.
 */
export function HoursToday({
  house,
  seen,
  left,
}: {
  readonly house: string;
  /** The last entry that the page knows of: after another one the plan is another. */
  readonly seen: number;
  /** Hours to finish the jobs. */
  readonly left: number;
}) {
  const [today, setToday] = useState<number | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is left differs once something was logged
  useEffect(() => {
    const gone = new AbortController();
    fetch(`/h/${house}/plan/mine`, { signal: gone.signal, headers: { accept: 'application/json' } })
      .then((response): Promise<OwnHours> | OwnHours => (response.ok ? response.json() : { hours: null }))
      .then(({ hours }) => setToday(hours))
      .catch(() => setToday(null));
    return () => gone.abort();
  }, [house, seen]);
  if (today === null || today === 0) return <>, about {spanWords(left)}</>;
  if (today >= left - FIVE_MINUTES) return <>, about {spanWords(today)}</>;
  return (
    <>
      , about {spanWords(today)} today and {spanWords(left - today)} later
    </>
  );
}
