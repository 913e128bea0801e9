import type { ReactNode } from 'react';

/** A secret of one's own, told once: made, made anew and ended here. */
export function OwnSecret({
  title,
  children,
  secret,
  more,
  busy,
  message,
  makeWords,
  make,
  endWords,
  end,
}: {
  readonly title: string;
  /** What it is good for. */
  readonly children: ReactNode;
  readonly secret: string | undefined;
  /** What is said beside it. */
  readonly more?: ReactNode;
  readonly busy: boolean;
  readonly message: string | undefined;
  readonly makeWords: string;
  readonly make: () => void;
  readonly endWords: string;
  /** Nothing where there is none to end. */
  readonly end: (() => void) | undefined;
}) {
  return (
    <details className="text-sm text-muted">
      <summary className="flex min-h-11 cursor-pointer items-center">{title}</summary>
      <div className="mt-2 space-y-2">
        <p>{children}</p>
        {secret && (
          <p>
            <code className="break-all select-all">{secret}</code>
            <br />
            Copy it now. It is shown only once. {more}
          </p>
        )}
        <div className="flex flex-wrap gap-2">
          <button type="button" className="btn btn-sm" disabled={busy} onClick={make}>
            {makeWords}
          </button>
          {end && (
            <button type="button" className="btn btn-sm" disabled={busy} onClick={end}>
              {endWords}
            </button>
          )}
        </div>
        {message && (
          <p role="alert" className="text-error">
            {message}
          </p>
        )}
      </div>
    </details>
  );
}
