import { useState } from 'react';
import type { AskedCoat } from '@/client/useLog';

type Answer = Parameters<AskedCoat['answer']>[0];

/** Returns what can be answered, in words; none for the answer that needs a reason. */
function choicesOf(asks: AskedCoat['asks']): readonly (readonly [words: string, answer: Answer | undefined])[] {
  if (asks === 'sameCoat') {
    return [
      ['Same coat', { repeat: 'same' }],
      ['Next coat', { repeat: 'next' }],
    ];
  }
  if ('clashes' in asks && asks.clashes.every(({ own }) => own)) {
    return [
      ['Keep this one', { counts: 'mine' }],
      ['Keep the other', { counts: 'theirs' }],
      ['Count both', { counts: 'both' }],
    ];
  }
  if ('clashes' in asks) {
    return [
      ['Keep mine', { counts: 'mine' }],
      ['Keep theirs', { counts: 'theirs' }],
      ['Both did part', { counts: 'both' }],
    ];
  }
  return [
    ['Fixed now', { fixed: true }],
    ['Cover anyway', undefined],
  ];
}

/** Asks what only who logs a coat knows: same coat or next, problem under it fixed or why covered, whose counts of two. */
export function CoatQuestion({
  question: { words, asks, answer },
  busy,
  done,
}: {
  readonly question: AskedCoat;
  readonly busy: boolean;
  /** Runs once the answer is recorded. */
  readonly done?: (() => void) | undefined;
}) {
  const [why, setWhy] = useState<string>();
  const [isMissing, setMissing] = useState(false);
  const send = async (given: Answer) => {
    if (await answer(given)) done?.();
  };
  const cover = () => {
    if (why === undefined) return setWhy('');
    if (why.trim() === '') return setMissing(true);
    void send({ why: why.trim() });
  };
  return (
    <div role="alert" className="space-y-2 rounded-lg border border-base-300 p-3">
      <p className="font-semibold">{words}</p>
      {why !== undefined && (
        <label className="block">
          Why is it covered?
          <input
            className={`input input-lg w-full ${isMissing ? 'input-error' : ''}`}
            value={why}
            maxLength={500}
            aria-invalid={isMissing ? true : undefined}
            onChange={(event) => {
              setWhy(event.target.value);
              setMissing(false);
            }}
          />
          {isMissing && <span className="text-error">Say why before you cover it.</span>}
        </label>
      )}
      <div className="grid grid-cols-2 gap-2">
        {choicesOf(asks).map(([name, given]) => (
          <button
            key={name}
            type="button"
            className="btn btn-lg"
            disabled={busy}
            onClick={() => (given ? void send(given) : cover())}
          >
            {name}
          </button>
        ))}
      </div>
    </div>
  );
}
