'use client';

import { useState } from 'react';
import { useLog } from '@/client/useLog';
import { FOUND, type Found } from '@/core/drying/touch';
import type { CoatedClass } from '@/core/method/coat';
import { FOUND_WORDS } from './foundWords';
import { surpriseWords } from './surpriseWords';

/** A mark beside the word, that is no colour alone. */
const MARKS: Readonly<Record<Found, string>> = { grey: '●', patchy: '◐', white: '○' };

/**
 * Three large buttons for a touch check on the coats of a room, of one class or of some joints. A press far from what the clock
 * expected counts, and asks whether it was meant.
 */
export function TouchButtons({
  room,
  kind,
  pieces,
  label,
  readyAt,
  now,
}: {
  readonly room: string;
  readonly kind?: CoatedClass;
  readonly pieces?: readonly string[];
  /** What is touched. */
  readonly label: string;
  /** When the clock has it ready, ms since 1970, past or to come. */
  readonly readyAt: number | undefined;
  readonly now: number;
}) {
  const log = useLog(now);
  const [surprise, setSurprise] = useState<{ readonly id: string; readonly words: string }>();
  const say = async (found: Found) => {
    const id = crypto.randomUUID();
    const words = readyAt === undefined ? undefined : surpriseWords(found, readyAt - log.serverNow());
    const where = { ...(kind ? { class: kind } : {}), ...(pieces ? { pieces: [...pieces] } : {}) };
    const isWritten = await log.write([{ id, kind: 'touched', room, payload: { found, ...where } }]);
    if (isWritten) setSurprise(words === undefined ? undefined : { id, words });
  };
  const undo = async (target: string) => {
    if (await log.write([{ kind: 'void', room: null, payload: { target } }])) setSurprise(undefined);
  };
  return (
    <fieldset>
      <legend className="sr-only">{label}</legend>
      <div className="grid grid-cols-3 gap-2">
        {FOUND.map((found) => (
          <button
            key={found}
            type="button"
            className="btn h-auto min-h-12 flex-col gap-0 py-2 text-base"
            disabled={log.busy}
            aria-label={`${label}: ${FOUND_WORDS[found]}`}
            onClick={() => void say(found)}
          >
            <span aria-hidden="true">{MARKS[found]}</span>
            {FOUND_WORDS[found]}
          </button>
        ))}
      </div>
      {surprise && (
        <div role="status" className="mt-2 flex flex-wrap items-center gap-2">
          <span className="flex-1 font-semibold">{surprise.words} Sure?</span>
          <button type="button" className="btn min-h-12" disabled={log.busy} onClick={() => setSurprise(undefined)}>
            Yes
          </button>
          <button type="button" className="btn min-h-12" disabled={log.busy} onClick={() => void undo(surprise.id)}>
            Undo
          </button>
        </div>
      )}
      {log.message && (
        <p role="alert" className="mt-1 text-error">
          {log.message}
        </p>
      )}
    </fieldset>
  );
}
