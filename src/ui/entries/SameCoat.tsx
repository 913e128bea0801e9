import type { CoatQuestion } from '@/client/useLog';

/** Asks whether a coat that is logged while the same one is wet is that one again, or the next. */
export function SameCoat({
  question: { words, answer },
  busy,
  done,
}: {
  readonly question: CoatQuestion;
  readonly busy: boolean;
  /** Runs once the answer is recorded. */
  readonly done?: (() => void) | undefined;
}) {
  const send = async (repeat: 'same' | 'next') => {
    if (await answer(repeat)) done?.();
  };
  return (
    <div role="alert" className="space-y-2 rounded-lg border border-base-300 p-3">
      <p className="font-semibold">{words}</p>
      <div className="grid grid-cols-2 gap-2">
        <button type="button" className="btn btn-lg" disabled={busy} onClick={() => void send('same')}>
          Same coat
        </button>
        <button type="button" className="btn btn-lg" disabled={busy} onClick={() => void send('next')}>
          Next coat
        </button>
      </div>
    </div>
  );
}
