'use client';

import { useState } from 'react';
import { useLog } from '@/client/useLog';

/** Says that something is mended; with the minutes that it took, where somebody types them first. */
export function MendedButton({
  now,
  room,
  item,
}: {
  readonly now: number;
  readonly room: string;
  readonly item: { readonly id: string; readonly words: string };
}) {
  const log = useLog(now);
  const [typed, setTyped] = useState('');
  const minutes = typed.trim() === '' ? undefined : Number(typed.replace(',', '.'));
  const isWrong = minutes !== undefined && !(minutes >= 0 && minutes <= 1440);
  return (
    <div>
      <div className="flex items-center gap-2">
        <input
          className={`input w-20 ${isWrong ? 'input-error' : ''}`}
          inputMode="decimal"
          placeholder="min"
          aria-label={`Minutes to mend: ${item.words}`}
          aria-invalid={isWrong ? true : undefined}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <button
          type="button"
          className="btn"
          disabled={log.busy || isWrong}
          aria-label={`Mended: ${item.words}`}
          onClick={() =>
            void log.write([
              { kind: 'itemClosed', room, payload: { item: item.id, ...(minutes === undefined ? {} : { minutes }) } },
            ])
          }
        >
          Mended
        </button>
      </div>
      {(log.message ?? (isWrong ? 'how many minutes?' : undefined)) && (
        <p role="alert" className="text-sm text-error">
          {log.message ?? 'how many minutes?'}
        </p>
      )}
    </div>
  );
}
