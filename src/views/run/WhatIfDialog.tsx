'use client';

import { proxy } from 'comlink';
import { useEffect, useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { planGround } from '@/client/planGround';
import { useWorker } from '@/client/useWorker';
import { housePart } from '@/core/plan/housePart';
import type { HousePlan } from '@/core/plan/planHouse';
import type { PlanInput } from '@/core/plan/planInput';
import type { WhatIfPrice } from '@/core/plan/whatIfPrice';
import type { WorkTime } from '@/core/plan/workTime';
import { Dialog } from '@/ui/Dialog';
import { GROUP_NAMES } from '@/words/stateWords';
import { changeWords } from '@/words/when';
import type { PlanWorker } from '@/workers/plan.worker';
import { finishWords } from './planWords';

/** What is done by saying so; the others are chosen elsewhere. */
const CAN_BE_TAKEN: readonly WhatIfPrice['kind'][] = ['saturday', 'fan', 'released'];

/** What could be done about the plan, each planned anew beside what it is now; one is taken with a press. */
export function WhatIfDialog({
  input,
  plan,
  take,
  only,
  hourCost,
  busy,
  message,
  close,
}: {
  /** Of all houses. */
  readonly input: PlanInput;
  readonly plan: HousePlan;
  /** The house that is looked at; undefined for all. */
  readonly only: string | undefined;
  /** Does it from now on. */
  readonly take: (price: WhatIfPrice) => void;
  /** Of one person; undefined where nobody says. */
  readonly hourCost: number | undefined;
  readonly busy: boolean;
  readonly message: string | undefined;
  readonly close: () => void;
}) {
  const [prices, setPrices] = useState<readonly WhatIfPrice[]>([]);
  const [working, setWorking] = useState(true);
  const worker = useWorker<PlanWorker>(
    () => new Worker(new URL('../../workers/plan.worker.ts', import.meta.url), { type: 'module' }),
    () => setWorking(false),
  );
  const { id } = useHouse();
  const now = only === undefined ? plan.finish : housePart({ plan, input }, only).plan.finish;
  // biome-ignore lint/correctness/useExhaustiveDependencies: of the plan as it was when this was opened
  useEffect(() => {
    const ask = async () => {
      const other = input.items.some(({ people }) => people > 1) ? 'knives' : 'boxes';
      const ground = await planGround(id, { tools: other });
      const others = ground ? { [other]: { ...ground.input, from: input.from } } : {};
      const found = proxy((price: WhatIfPrice) => setPrices((known) => [...known, price]));
      await worker.ask().whatIf(input, plan, others, only, found);
    };
    ask()
      .catch(() => undefined)
      .finally(() => setWorking(false));
  }, [worker]);
  return (
    <Dialog title="What if" close={close} className="max-w-4xl">
      <table className="table">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">Finish</th>
            <th scope="col">Beside now</th>
            <th scope="col" className="text-right">
              Hours
            </th>
            <th scope="col" className="text-right">
              Person-days
            </th>
            {hourCost !== undefined && (
              <th scope="col" className="text-right">
                Cost
              </th>
            )}
            <th scope="col">
              <span className="sr-only">Take it</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {prices.map((price) => (
            <tr key={price.kind}>
              <th scope="row" className="min-w-44">
                {wordsOf(price.kind, price.about)}
              </th>
              <td className="whitespace-nowrap">{finishWords(price.plan.finish, input)}</td>
              <td className="whitespace-nowrap">
                {price.kind === 'asItIs' ? '' : changeWords(now, price.plan.finish)}
              </td>
              <Taken
                time={price.time}
                cost={hourCost === undefined ? undefined : costOf(price.time, input, hourCost)}
              />
              <td>
                {CAN_BE_TAKEN.includes(price.kind) && (
                  <button
                    type="button"
                    className="btn btn-sm whitespace-nowrap"
                    disabled={busy}
                    onClick={() => take(price)}
                  >
                    Take it
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {working && <p className="text-muted">Planning each of them…</p>}
      {message && (
        <p role="alert" className="text-error">
          {message}
        </p>
      )}
      <p className="text-sm text-muted">
        {hourCost === undefined && 'Set hourly costs under Crew and tools. '}
        Choose mud and tools in Coats. A heater shows up in the measured air, and the plan follows.
      </p>
      <div className="modal-action">
        <button type="button" className="btn" onClick={close}>
          Close
        </button>
      </div>
    </Dialog>
  );
}

/** What it takes, in two or three cells: hours, people's days, money. */
function Taken({ time: { hours, personDays }, cost }: { readonly time: WorkTime; readonly cost: number | undefined }) {
  return (
    <>
      <td className="text-right">{Math.round(hours).toLocaleString('en-US')}</td>
      <td className="text-right">{personDays}</td>
      {cost !== undefined && <td className="text-right">{Math.round(cost).toLocaleString('en-US')}</td>}
    </>
  );
}

/** What the hours cost: each person’s own cost, that of the crew where nobody says. */
const costOf = ({ byPerson }: WorkTime, { people }: PlanInput, usual: number): number =>
  Object.entries(byPerson).reduce(
    (sum, [id, hours]) => sum + hours * (people.find((person) => person.id === id)?.hourCost ?? usual),
    0,
  );

function wordsOf(kind: WhatIfPrice['kind'], about: string | undefined): string {
  switch (kind) {
    case 'asItIs':
      return 'As it is';
    case 'person':
      return 'One more person who does everything';
    case 'saturday':
      return 'Working on Saturdays';
    case 'setting':
      return `Setting mud (90 min) for ${GROUP_NAMES[about as keyof typeof GROUP_NAMES] ?? 'these coats'}`;
    case 'boxes':
      return 'Boxes instead of knives';
    case 'knives':
      return 'Knives instead of boxes';
    case 'fan':
      return `A fan in the ${about}`;
    case 'heater':
      return `A heater in the ${about}`;
    case 'released':
      return 'Held rooms released now';
  }
}
