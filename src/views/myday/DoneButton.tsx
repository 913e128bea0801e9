'use client';

import { type Said, useLog } from '@/client/useLog';
import type { WetMud } from '@/core/drying/wetMud';
import type { Coat } from '@/core/method/coat';
import type { Pass } from '@/core/plan/tasksOf';

/** A coat that can go, with the mud as its method puts it on. */
export interface ReadyCoat {
  readonly coat: Pick<Coat, 'class' | 'key' | 'side' | 'tool'>;
  readonly wet: WetMud;
}

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
  readonly coats: readonly ReadyCoat[];
  readonly now: number;
}) {
  const log = useLog(houseId, now);
  const said: readonly Said[] =
    pass === 'sand'
      ? [{ kind: 'sanded', room, payload: {} }]
      : coats.map(
          ({ coat, wet }): Said => ({
            kind: 'coat',
            room,
            payload: {
              class: coat.class,
              key: coat.key,
              ...(coat.side ? { side: coat.side } : {}),
              share: { of: 'all' },
              ...wet,
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
