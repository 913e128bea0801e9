import { proxy } from 'comlink';
import { useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { planGround } from '@/client/planGround';
import { useWorker } from '@/client/useWorker';
import type { OtherStock } from '@/core/estimate/betterStock';
import { housePart } from '@/core/plan/housePart';
import type { HousePlan } from '@/core/plan/planHouse';
import { changeWords, instantWords } from '@/words/when';
import type { PlanWorker } from '@/workers/plan.worker';

/** When a house would be finished, ms since 1970, and where. */
interface Finish {
  readonly at: number;
  readonly timeZone: string;
}

/** When the house would be finished with other boards: each of them planned, which takes a moment. */
export function FinishDates({
  stocks,
  words,
}: {
  readonly stocks: readonly OtherStock[];
  readonly words: Readonly<Record<OtherStock, string>>;
}) {
  const { id: house } = useHouse();
  const [found, setFound] = useState<readonly (readonly [OtherStock | undefined, Finish])[]>([]);
  const [standing, setStanding] = useState<'asked' | 'working' | 'done' | 'failed'>('asked');
  const worker = useWorker<PlanWorker>(
    () => new Worker(new URL('../../workers/plan.worker.ts', import.meta.url), { type: 'module' }),
    () => setStanding('failed'),
  );
  const plan = async () => {
    setFound([]);
    setStanding('working');
    let stands: HousePlan | undefined;
    try {
      for (const stock of [undefined, ...stocks]) {
        const ground = await planGround(house, stock ? { stock } : {});
        stands ??= ground?.plan;
        const made =
          ground &&
          (ground.plan ??
            (await worker.ask().plan(
              ground.input,
              stands ? { former: stands } : {},
              proxy(() => undefined),
            )));
        if (!made) return setStanding('failed');
        const { plan: own, input } = housePart({ plan: made, input: ground.input }, house);
        setFound((known) => [...known, [stock, { at: own.finish, timeZone: input.timeZone }]]);
      }
      setStanding('done');
    } catch {
      setStanding('failed');
    }
  };
  const now = found[0]?.[1];
  return (
    <div className="space-y-1">
      <button type="button" className="btn btn-sm" disabled={standing === 'working'} onClick={() => void plan()}>
        When it would be finished
      </button>
      {standing === 'working' && <progress className="progress ml-3 w-28" aria-label="Planning each of them" />}
      {standing === 'failed' && (
        <p role="alert" className="text-error">
          Can’t plan this. Try again.
        </p>
      )}
      {now && (
        <ul aria-live="polite">
          {found.map(([stock, { at, timeZone }]) => (
            <li key={stock ?? 'now'} className="flex flex-wrap justify-between gap-x-4">
              <span>{stock ? words[stock] : 'As it is'}</span>
              <span>
                {instantWords(at, timeZone)}
                {stock && `, ${changeWords(now.at, at)}`}
              </span>
            </li>
          ))}
        </ul>
      )}
      {standing === 'done' && (
        <p className="text-sm text-muted">
          Rooms with work in them keep their boards. Dates use the crew and days of the run sheet.
        </p>
      )}
    </div>
  );
}
