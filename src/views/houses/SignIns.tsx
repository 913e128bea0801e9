'use client';

import { useCommand } from '@/client/useCommand';
import { spanWords } from '@/words/when';

/** A sign-in that may be ended; instants in ms since 1970. */
export interface CrewSession {
  readonly id: string;
  readonly person: string;
  /** What its browser says of itself. */
  readonly device: string;
  readonly madeAt: number;
  readonly seenAt: number;
  /** Whether it is the one of this page. */
  readonly here: boolean;
}

const HOUR_MS = 3_600_000;

/** Where somebody is signed in, each with a way to end it. */
export function SignIns({ sessions, now }: { readonly sessions: readonly CrewSession[]; readonly now: number }) {
  const { run, busy, message } = useCommand();
  if (sessions.length === 0) return <p className="text-muted">Signed in nowhere.</p>;
  return (
    <div>
      <ul className="space-y-1">
        {sessions.map(({ id, device, seenAt, here }) => (
          <li key={id} className="flex min-h-11 items-center justify-between gap-3">
            <span>
              {deviceWords(device)},{' '}
              <span className="text-muted">{here ? 'this one' : `last used ${agoWords(now - seenAt)}`}</span>
            </span>
            {!here && (
              <button
                type="button"
                className="btn"
                disabled={busy}
                onClick={() => void run('endSession', { session: id })}
              >
                End
              </button>
            )}
          </li>
        ))}
      </ul>
      {message && (
        <p role="alert" className="text-error">
          {message}
        </p>
      )}
    </div>
  );
}

/** What kind of thing it is, as far as it tells. */
const deviceWords = (device: string): string =>
  /Mobi|Phone/i.test(device) ? 'Phone' : /Tablet|Pad/i.test(device) ? 'Tablet' : 'Computer';

const agoWords = (ms: number): string => (ms < HOUR_MS / 60 ? 'just now' : `${spanWords(ms / HOUR_MS)} ago`);
