'use client';

import { useLog } from '@/client/useLog';

/** Asks whether the boards are new on faces whose joints moved under coats: then they start over. */
export function BoardsQuestion({
  room,
  faces,
  names,
  now,
}: {
  readonly room: { readonly id: string; readonly name: string };
  /** The faces, by id. */
  readonly faces: readonly string[];
  /** The same in words: wall 2 and the ceiling. */
  readonly names: string;
  readonly now: number;
}) {
  const log = useLog(now);
  const answer = (are: 'new' | 'same') =>
    void log.write([{ kind: 'boards', room: room.id, payload: { faces: [...faces], are } }]);
  return (
    <div
      role="alert"
      className="flex flex-wrap items-center gap-2 rounded-lg border border-warning p-3"
      aria-label={`Boards of ${room.name}`}
    >
      <p className="min-w-0 flex-1 basis-72 font-semibold">
        {room.name}: joints moved under coats on {names}. New boards there? Then their joints start over.
        {log.message && <span className="block text-error">{log.message}</span>}
      </p>
      <button type="button" className="btn" disabled={log.busy} onClick={() => answer('new')}>
        Start joints over
      </button>
      <button type="button" className="btn" disabled={log.busy} onClick={() => answer('same')}>
        Keep coats: same boards
      </button>
    </div>
  );
}
