'use client';

import { useCommand } from '@/client/useCommand';
import type { SecretKind } from '@/core/log/choices';
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

/** Something else that opens what is a person's. */
export interface CrewSecret {
  readonly person: string;
  readonly kind: SecretKind;
}

const SECRET_WORDS: Readonly<Record<SecretKind, string>> = { calendar: 'Calendar address', laser: 'Laser measure key' };

const HOUR_MS = 3_600_000;

/** Shows where somebody is signed in and which secrets they have, each with a button that ends it. */
export function SignIns({
  sessions,
  secrets,
  now,
}: {
  readonly sessions: readonly CrewSession[];
  readonly secrets: readonly CrewSecret[];
  readonly now: number;
}) {
  const { run, busy, message } = useCommand();
  return (
    <div>
      {sessions.length === 0 && <p className="text-muted">Not signed in on any device.</p>}
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
        {secrets.map(({ person, kind }) => (
          <li key={kind} className="flex min-h-11 items-center justify-between gap-3">
            {SECRET_WORDS[kind]}
            <button
              type="button"
              className="btn"
              disabled={busy}
              onClick={() => void run('endSecret', { kind, person })}
            >
              End {kind === 'calendar' ? 'address' : 'key'}
            </button>
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
