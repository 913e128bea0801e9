'use client';

import { useLog } from '@/client/useLog';
import { HoldButton } from '@/ui/entries/HoldButton';

/** Holds a room that somebody else has, or releases it, on the way. */
export function HoldRoom({
  now,
  row,
  timeZone,
}: {
  readonly now: number;
  readonly row: { readonly id: string; readonly name: string; readonly held: string | undefined };
  readonly timeZone: string;
}) {
  const log = useLog(now);
  return (
    <div>
      <HoldButton row={row} timeZone={timeZone} busy={log.busy} write={log.write} />
      {log.message && (
        <p role="alert" className="text-error">
          {log.message}
        </p>
      )}
    </div>
  );
}
