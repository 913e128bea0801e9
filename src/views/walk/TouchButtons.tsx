'use client';

import { useLog } from '@/client/useLog';
import { FOUND, type Found } from '@/core/drying/touch';
import type { CoatedClass } from '@/core/method/coat';
import { FOUND_WORDS } from './foundWords';

/** A mark beside the word, that is no colour alone. */
const MARKS: Readonly<Record<Found, string>> = { grey: '●', patchy: '◐', white: '○' };

/** Three large buttons for one thumb: what it found on the coats of a room, or of one class of it. */
export function TouchButtons({
  room,
  kind,
  pieces,
  label,
  now,
  after,
}: {
  readonly room: string;
  readonly kind?: CoatedClass;
  readonly pieces?: readonly string[];
  /** What is touched. */
  readonly label: string;
  readonly now: number;
  /** What is done when it is said. */
  readonly after?: () => void;
}) {
  const log = useLog(now);
  const say = async (found: Found) => {
    const where = { ...(kind ? { class: kind } : {}), ...(pieces ? { pieces: [...pieces] } : {}) };
    if (await log.write([{ kind: 'touched', room, payload: { found, ...where } }])) after?.();
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
      {log.message && (
        <p role="alert" className="mt-1 text-error">
          {log.message}
        </p>
      )}
    </fieldset>
  );
}
