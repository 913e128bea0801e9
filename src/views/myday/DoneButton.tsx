'use client';

import { type Coat, mudKind } from '@/core/method/coat';
import type { Pass } from '@/core/plan/tasksOf';
import { type Said, useLog } from '@/ui/useLog';

/** One press logs every coat of the pass that could go. */
export function DoneButton({
  houseId,
  room,
  pass,
  coats,
  now,
}: {
  readonly houseId: string;
  readonly room: string;
  readonly pass: Pass;
  readonly coats: readonly Coat[];
  readonly now: number;
}) {
  const log = useLog(houseId, now);
  const said: readonly Said[] =
    pass === 'sand'
      ? [{ kind: 'sanded', room, payload: {} }]
      : coats.map(
          (coat): Said => ({
            kind: 'coat',
            room,
            payload: {
              class: coat.class,
              key: coat.key,
              ...(coat.side ? { side: coat.side } : {}),
              share: { of: 'all' },
              mud: mudKind(coat),
              tool: coat.tool,
            },
          }),
        );
  return (
    <div>
      <button
        type="button"
        className="btn btn-primary btn-xl h-auto w-full py-5 text-xl"
        disabled={log.busy}
        onClick={() => void log.write(said)}
      >
        Done
      </button>
      {log.message && (
        <p role="alert" className="mt-2 text-error">
          {log.message}
        </p>
      )}
    </div>
  );
}
