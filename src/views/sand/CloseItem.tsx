'use client';

import { useLog } from '@/client/useLog';

/** Closes an open item. */
export function CloseItem({
  now,
  room,
  item,
}: {
  readonly now: number;
  readonly room: string;
  readonly item: { readonly id: string; readonly text: string };
}) {
  const log = useLog(now);
  return (
    <span>
      <button
        type="button"
        className="btn"
        disabled={log.busy}
        aria-label={`Mended: ${item.text}`}
        onClick={() => void log.write([{ kind: 'itemClosed', room, payload: { item: item.id } }])}
      >
        Mended
      </button>
      {log.message && (
        <span role="alert" className="text-sm text-error">
          {log.message}
        </span>
      )}
    </span>
  );
}
