import { useState } from 'react';
import type { AskedCoat } from '@/client/useLog';

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
  const send = async (given: Parameters<AskedCoat['answer']>[0]) => {
    if (await answer(given)) done?.();
  };
  const cover = () => {
    if (why === undefined) return setWhy('');
    if (why.trim() === '') return setMissing(true);
    void send({ why: why.trim() });
  };
  const choices: readonly (readonly [string, () => void])[] =
    asks === 'sameCoat'
      ? [
          ['Same coat', () => void send({ repeat: 'same' })],
          ['Next coat', () => void send({ repeat: 'next' })],
        ]
      : 'clashes' in asks
        ? [
            ['Keep mine', () => void send({ counts: 'mine' })],
            ['Keep theirs', () => void send({ counts: 'theirs' })],
            ['Both did part', () => void send({ counts: 'both' })],
          ]
        : [
            ['Fixed now', () => void send({ fixed: true })],
            ['Cover anyway', cover],
          ];
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
        {choices.map(([name, choose]) => (
          <button key={name} type="button" className="btn btn-lg" disabled={busy} onClick={choose}>
            {name}
          </button>
        ))}
      </div>
    </div>
  );
}
