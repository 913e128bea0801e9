'use client';

import { useCommand } from '@/client/useCommand';
import type { Catalogue } from '@/core/materials/catalogueSchema';

/** Once the list is cut: what is left of its sticks is kept for this and other houses. */
export function KeepLeft({
  after,
  version,
  count,
}: {
  /** The catalogue with what is left then. */
  readonly after: Catalogue;
  readonly version: number;
  /** Pieces that are worth keeping. */
  readonly count: number;
}) {
  const { run, busy, message } = useCommand();
  return (
    <p className="mt-2 flex flex-wrap items-center gap-3 print:hidden">
      <button
        type="button"
        className="btn btn-sm"
        disabled={busy}
        onClick={() => void run('saveCatalogue', { version, catalogue: after })}
      >
        It is cut: keep {count === 1 ? 'the piece that is' : `the ${count} pieces that are`} left
      </button>
      {message && (
        <span role="alert" className="text-error">
          {message}
        </span>
      )}
    </p>
  );
}
