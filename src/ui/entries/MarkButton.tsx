'use client';

import { type Said, useLog } from '@/client/useLog';

/** A large button that writes one entry. */
export function MarkButton({
  now,
  said,
  words,
  disabled = false,
  note,
}: {
  readonly now: number;
  readonly said: Said;
  readonly words: string;
  readonly disabled?: boolean;
  readonly note?: string | undefined;
}) {
  const log = useLog(now);
  return (
    <div className="text-right">
      <button
        type="button"
        className="btn btn-primary btn-lg"
        disabled={log.busy || disabled}
        onClick={() => void log.write([said])}
      >
        {words}
      </button>
      {(log.message ?? note) && (
        <p
          role={log.message ? 'alert' : undefined}
          className={`mt-1 text-sm ${log.message ? 'text-error' : 'text-muted'}`}
        >
          {log.message ?? note}
        </p>
      )}
    </div>
  );
}
