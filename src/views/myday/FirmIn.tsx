'use client';

import { useServerTime } from '@/client/useServerClock';
import type { Coat } from '@/core/method/coat';
import { CLASS_NAMES, firmWords } from '@/words/stateWords';

/** Counts down the minutes until a soft joint can be crossed, and names what comes then. */
export function FirmIn({
  under,
  next,
  until,
  now,
}: {
  readonly under: Pick<Coat, 'class'>;
  readonly next: Pick<Coat, 'class'>;
  /** ms since 1970 */
  readonly until: number;
  readonly now: number;
}) {
  const at = useServerTime(now);
  const then = CLASS_NAMES[next.class].toLowerCase();
  return (
    <p role="timer" aria-live="off" className="state">
      <span aria-hidden="true" className={until > at ? 'shape-wet' : 'shape-go'} />
      <b className={until > at ? 'state-wet' : 'state-go'}>
        {until > at ? `${firmWords(under, until, at)}, then ${then}` : `Go: ${then}`}
      </b>
    </p>
  );
}
