'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { LevelPrice } from '@/core/estimate/priceOfLevel';
import type { Answer } from '@/core/house/answer';
import type { Level } from '@/core/house/level';
import { gallonsFromLitres, type LengthUnit } from '@/core/measure/unit';
import { SERVER_LOST } from '@/ui/useSubmit';
import { spanWords } from '@/ui/when';

const MEANINGS: Readonly<Record<Level, string>> = {
  0: 'nothing: temporary work',
  1: 'joints and angles taped',
  2: 'taped and wiped tight, one coat on screws and bead',
  3: 'one more coat; for heavy texture',
  4: 'two more coats on seams; for flat paint',
  5: 'level 4 and a skim over everything',
};

/** The six levels with their price for this house; the lead picks one. */
export function LevelChoice({
  houseId,
  version,
  level,
  prices,
  unit,
  mayEdit,
  saveLevel,
}: {
  readonly houseId: string;
  readonly version: number;
  readonly level: Level;
  readonly prices: readonly LevelPrice[];
  readonly unit: LengthUnit;
  readonly mayEdit: boolean;
  readonly saveLevel: (input: { house: string; version: number; level: Level }) => Promise<Answer<null>>;
}) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [message, setMessage] = useState<string>();
  const now = prices.find((price) => price.level === level);
  const choose = async (chosen: Level) => {
    setBusy(true);
    setMessage(undefined);
    try {
      const answer = await saveLevel({ house: houseId, version, level: chosen });
      if (answer.ok) router.refresh();
      else setMessage(answer.message);
    } catch {
      setMessage(SERVER_LOST);
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      {message && (
        <p role="alert" className="text-error">
          {message}
        </p>
      )}
      <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3 xl:grid-cols-6">
        {prices.map((price) => {
          const current = price.level === level;
          const more = price.hours - (now?.hours ?? 0);
          return (
            <li key={price.level}>
              <button
                type="button"
                disabled={busy || !mayEdit}
                aria-pressed={current}
                onClick={() => void choose(price.level)}
                className={`sheet flex h-full w-full flex-col items-stretch justify-start p-3 text-left ${current ? 'border-2 border-secondary' : ''} ${mayEdit ? 'hover:bg-base-200' : ''}`}
              >
                <span className="narrow flex justify-between text-lg font-bold">
                  Level {price.level} {current && <span className="text-sm font-semibold text-secondary">chosen</span>}
                </span>
                <span className="block text-sm text-muted">{MEANINGS[price.level]}</span>
                <span className="mt-2 block font-semibold">{spanWords(price.hours)}</span>
                <span className="block text-sm">
                  {unit === 'in' ? `${gallonsFromLitres(price.litres).toFixed(0)} gal` : `${price.litres.toFixed(0)} l`}{' '}
                  of mud, {price.visits} visits
                </span>
                <span className="block text-sm text-muted">
                  {current ? 'as planned' : `${more >= 0 ? '+' : '−'}${spanWords(Math.abs(more))}`}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </>
  );
}
