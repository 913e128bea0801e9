'use client';

import { useState } from 'react';
import { type Said, useLog } from '@/client/useLog';
import type { Piece } from '@/core/joints/pieces';
import { minutesTyped } from './minutesTyped';

/** Says that something is mended; with the minutes that it took, where somebody types them first. */
export function MendedButton({
  now,
  room,
  item,
  piece,
}: {
  readonly now: number;
  readonly room: string;
  readonly item: { readonly id: string; readonly words: string; readonly dry: boolean };
  /** On which it lies: what is mended with mud there has to dry, and is sanded once more. */
  readonly piece: Pick<Piece, 'id' | 'class'> | undefined;
}) {
  const log = useLog(now);
  const [typed, setTyped] = useState('');
  const [mud, setMud] = useState(!item.dry);
  const minutes = minutesTyped(typed);
  const isWrong = minutes === 'wrong';
  const message = log.message ?? (isWrong ? 'Enter the minutes as a number.' : undefined);
  const closed: Said = {
    kind: 'itemClosed',
    room,
    payload: { item: item.id, ...(typeof minutes === 'number' ? { minutes } : {}) },
  };
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
          onClick={() => void log.write(piece && mud ? [closed, coatOn(room, piece)] : [closed])}
        >
          Mended
        </button>
      </div>
      {piece && (
        <label className="flex min-h-11 items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="checkbox"
            checked={mud}
            onChange={(event) => setMud(event.target.checked)}
          />
          with mud: it dries again
        </label>
      )}
      {message && (
        <p role="alert" className="text-sm text-error">
          {message}
        </p>
      )}
    </div>
  );
}

/** What is put on to mend: one more coat on one piece, by drying mud. */
const coatOn = (room: string, { id, class: kind }: Pick<Piece, 'id' | 'class'>): Said => ({
  kind: 'coat',
  room,
  payload: { class: kind, key: 'extra', part: 1, pieces: [{ id }], mud: { kind: 'drying' } },
});
