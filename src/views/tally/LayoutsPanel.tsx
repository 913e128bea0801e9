'use client';

import { useEffect, useMemo, useState } from 'react';
import type { LayoutPrice } from '@/core/estimate/priceOfLayouts';
import type { HouseHead } from '@/core/house/schema';
import type { HangPlan } from '@/core/room/resolveHang';
import type { Room } from '@/core/room/schema';
import { roughLength } from '@/words/lengthWords';
import { BetterBoards } from './BetterBoards';
import { useLayouts } from './useLayouts';

const AIM_WORDS: Readonly<Record<HangPlan['aim'], string>> = {
  joints: 'Fewest butts',
  boards: 'Fewest sheets',
  waste: 'Least waste',
};

/** Three ways to hang a room or the house side by side, with what each costs the finishers. */
export function LayoutsPanel({
  house,
  room,
  rooms,
  onChoose,
}: {
  readonly house: HouseHead;
  readonly room: Room | undefined;
  readonly rooms: readonly Room[];
  /** Hangs the room for an aim; undefined when nothing may be changed. */
  readonly onChoose: ((aim: HangPlan['aim']) => void) | undefined;
}) {
  const { prices, better, progress, failed, compare, cancel } = useLayouts(house);
  const [whole, setWhole] = useState(room === undefined);
  const asked = useMemo(() => (whole || !room ? rooms : [room]), [whole, room, rooms]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is asked decides, not the search
  useEffect(() => compare(asked), [asked, house]);
  const current = room?.hang?.aim ?? house.hang.aim ?? 'joints';
  const least = prices && Math.min(...prices.map(({ hours }) => hours));

  return (
    <section aria-label="Three ways to hang it" className="sheet space-y-3 p-4 print:hidden">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2>Three ways to hang {whole ? 'the house' : 'it'}</h2>
        <div className="flex items-center gap-3">
          {progress !== undefined && (
            <>
              <progress className="progress w-28" value={progress} max={1} aria-label="Comparing layouts" />
              <button type="button" className="btn btn-sm" onClick={cancel}>
                Cancel
              </button>
            </>
          )}
          {room && (
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                className="checkbox rounded-md"
                checked={whole}
                onChange={({ target }) => setWhole(target.checked)}
              />
              The whole house
            </label>
          )}
        </div>
      </div>
      {failed && (
        <p role="alert" className="text-error">
          The comparison stopped. Open this again to retry.
        </p>
      )}
      {prices && (
        <div className="overflow-x-auto">
          <table className="table table-sm">
            <thead>
              <tr>
                <th scope="col">Hung for</th>
                {['Flats', 'Butts', 'Mixed', 'Sheets', 'Waste', 'Finishing'].map((title) => (
                  <th key={title} scope="col" className="text-right">
                    {title}
                  </th>
                ))}
                {onChoose && !whole && (
                  <th scope="col">
                    <span className="sr-only">Choose</span>
                  </th>
                )}
              </tr>
            </thead>
            <tbody>
              {prices.map((price) => (
                <tr key={price.aim} className={price.aim === current && !whole ? 'bg-base-200' : ''}>
                  <th scope="row">{AIM_WORDS[price.aim]}</th>
                  {numbersOf(price, house).map((words, index) => (
                    <td key={index} className="text-right whitespace-nowrap">
                      {words}
                    </td>
                  ))}
                  <td className="text-right whitespace-nowrap">
                    {price.hours.toFixed(1)} h
                    {least !== undefined && price.hours > least + 0.05 && (
                      <span className="text-muted"> +{(price.hours - least).toFixed(1)}</span>
                    )}
                  </td>
                  {onChoose && !whole && (
                    <td className="text-right">
                      {price.aim === current ? (
                        <span className="text-muted">in use</span>
                      ) : (
                        <button type="button" className="btn btn-sm" onClick={() => onChoose(price.aim)}>
                          Hang so
                        </button>
                      )}
                    </td>
                  )}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {better && <BetterBoards answers={better} unit={house.unit} whole={whole} />}
      <p className="text-sm text-muted">Finishing hours at the usual rates, by hand, sanding included.</p>
    </section>
  );
}

function numbersOf({ tally, sheets, waste }: LayoutPrice, { unit }: HouseHead): readonly string[] {
  const { flat, butt, backedButt, mixed } = tally.classes;
  const butts = butt.count + backedButt.count;
  return [
    roughLength(flat.length, unit),
    butts === 0 ? 'none' : `${butts} · ${roughLength(butt.length + backedButt.length, unit)}`,
    mixed.count === 0 ? 'none' : roughLength(mixed.length, unit),
    String(sheets),
    `${Math.round(waste * 100)} %`,
  ];
}
