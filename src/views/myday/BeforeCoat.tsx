'use client';

import { useLog } from '@/client/useLog';
import type { BETWEEN_COATS } from '@/core/log/choices';
import type { CoatedClass } from '@/core/method/coat';

type How = (typeof BETWEEN_COATS)[number];

/** What was done, as one says it. */
const DONE_WORDS: Readonly<Record<How, string>> = {
  scrape: 'Scraped and dusted',
  sand: 'Sanded and dusted',
  spot: 'Marks spotted',
  sponge: 'Sponged',
};

/** What comes before the coat: said when it is done; what is known to show through is named. */
export function BeforeCoat({
  room,
  how,
  classes,
  words,
  done,
  marks,
  now,
  works,
}: {
  readonly room: string;
  readonly how: How;
  readonly classes: readonly CoatedClass[];
  /** What is to be done. */
  readonly words: string;
  /** When and by whom it was, where it was. */
  readonly done: string | undefined;
  /** What is known to be there to scrape, in words. */
  readonly marks: readonly string[];
  readonly now: number;
  readonly works: boolean;
}) {
  const log = useLog(now);
  return (
    <div className="space-y-2">
      <p className="font-medium">
        First: {words}.{done && <span className="font-normal text-muted"> ✓ {done}</span>}
      </p>
      {marks.length > 0 && (
        <p className="text-sm font-semibold text-warning">Not covered before it is scraped: {marks.join('; ')}.</p>
      )}
      {works && !done && (
        <button
          type="button"
          className="btn btn-lg w-full"
          disabled={log.busy}
          onClick={() =>
            void log.write([
              {
                kind: 'between',
                room,
                payload: { how, classes: [...classes], ...(how === 'sand' ? { grit: 100 } : {}) },
              },
            ])
          }
        >
          {DONE_WORDS[how]}
        </button>
      )}
      {log.message && (
        <p role="alert" className="text-error">
          {log.message}
        </p>
      )}
    </div>
  );
}
