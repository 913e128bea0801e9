'use client';

import { useEffect, useState } from 'react';
import { useLog } from '@/client/useLog';
import type { LastDone } from './lastDone';

/** For a minute what was just done is taken back with one press, without a question. */
export function TakeBack({ done, now }: { readonly done: LastDone; readonly now: number }) {
  const log = useLog(now);
  const [over, setOver] = useState<string>();
  const key = done.entries.join(' ');
  useEffect(() => {
    const timer = setTimeout(() => setOver(key), done.left);
    return () => clearTimeout(timer);
  }, [key, done.left]);
  if (over === key) return null;
  return (
    <div className="sheet flex flex-wrap items-center gap-3 p-3">
      <p role="status" className="flex-1">
        <span aria-hidden="true">✓ </span>Done: {done.words}
      </p>
      <button
        type="button"
        className="btn btn-lg"
        disabled={log.busy}
        onClick={() =>
          void log.write(done.entries.map((target) => ({ kind: 'void', room: null, payload: { target } })))
        }
      >
        Undo
      </button>
      {log.message && (
        <p role="alert" className="w-full text-error">
          {log.message}
        </p>
      )}
    </div>
  );
}
