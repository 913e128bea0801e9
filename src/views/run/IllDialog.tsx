'use client';

import { useEffect, useState } from 'react';
import { dayOf } from '@/core/measure/dayOf';
import { groupBy } from '@/core/measure/groupBy';
import { withPersonOff } from '@/core/plan/personOff';
import type { HousePlan } from '@/core/plan/planHouse';
import type { PlanInput, PlanPerson } from '@/core/plan/planInput';
import { Dialog } from '@/ui/Dialog';
import { DialogEnd } from '@/ui/DialogEnd';
import { changeWords, dayWords } from '@/words/when';
import { cardRooms, cardWords, whoWords } from './planWords';
import type { Given } from './useHandOut';

/** Shows who gets the work of somebody ill, today and tomorrow, and the new finish, before it is confirmed. */
export function IllDialog({
  person,
  days,
  input,
  plan,
  planFor,
  busy,
  message,
  confirm,
  close,
}: {
  readonly person: PlanPerson;
  /** Today and tomorrow, YYYY-MM-DD. */
  readonly days: readonly string[];
  readonly input: PlanInput;
  readonly plan: HousePlan;
  readonly planFor: (input: PlanInput) => Promise<HousePlan | undefined>;
  readonly busy: boolean;
  readonly message: string | undefined;
  /** Takes them off on these days, and assigns their work anew. */
  readonly confirm: (shared: readonly Given[]) => void;
  readonly close: () => void;
}) {
  const [found, setFound] = useState<{ readonly plan: HousePlan; readonly shared: readonly Given[] }>();
  const [failed, setFailed] = useState(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: it is asked once, for what was shown when it was opened
  useEffect(() => {
    let gone = false;
    const shareOut = async () => {
      const { input: without, sharing, freed } = withPersonOff(input, person.id, days);
      const shares = await planFor(sharing);
      const shared = shares && sharedOut(shares, freed, input);
      const given = shared?.flatMap(({ items, given: to }) =>
        to.people.length > 0 ? items.map(({ id }) => [id, to] as const) : [],
      );
      const then =
        given && (await planFor({ ...without, handed: { ...without.handed, ...Object.fromEntries(given) } }));
      if (gone) return;
      if (shared && then) setFound({ shared, plan: then });
      else setFailed(true);
    };
    shareOut().catch(() => setFailed(true));
    return () => {
      gone = true;
    };
  }, []);
  const shared = found?.shared;
  return (
    <Dialog title={`${person.name} is ill`} close={close}>
      <p>
        Off {days.map(dayWords).join(' and ')}. {found && `Finish: ${changeWords(plan.finish, found.plan.finish)}.`}
      </p>
      {!found && !failed && <p className="text-muted">Reassigning jobs…</p>}
      {failed && (
        <p role="alert" className="text-error">
          Could not plan without {person.name}. Close this and try again.
        </p>
      )}
      {shared && shared.length === 0 && <p>Nothing is assigned to {person.name} for these days.</p>}
      {shared && shared.length > 0 && (
        <ul className="divide-y divide-base-300" aria-label="Who gets the work">
          {shared.map(({ items, given }) => (
            <li key={`${given.people.join()} ${given.day} ${items[0]?.id}`} className="py-1.5">
              <b>{given.people.length > 0 ? whoWords(given.people, input) : 'Nobody can'}</b>
              {given.people.length > 0 && `, ${dayWords(given.day)}`}:{' '}
              {cardRooms({ rooms: input.rooms.filter(({ id }) => items.some(({ room }) => room === id)) })},{' '}
              {cardWords({ items })}
            </li>
          ))}
        </ul>
      )}
      {message && (
        <p role="alert" className="text-error">
          {message}
        </p>
      )}
      <DialogEnd words="Confirm" disabled={busy || !shared} go={() => shared && confirm(shared)} close={close} />
    </Dialog>
  );
}

/** Returns the freed items by who runs them in a plan, and when. */
function sharedOut(plan: HousePlan, freed: readonly string[], input: PlanInput): readonly Given[] {
  const runs = new Map(plan.assignments.map((one) => [one.item, one]));
  const items = input.items.filter(({ id }) => freed.includes(id));
  const givenTo = (id: string) => {
    const run = runs.get(id);
    return run ? { people: run.people, day: dayOf(run.start, input.timeZone) } : { people: [], day: '' };
  };
  return [...groupBy(items, ({ id, pass }) => `${JSON.stringify(givenTo(id))} ${pass}`).values()].map((own) => {
    const given = givenTo(own[0]?.id ?? '');
    return { items: own, given: given.day === '' ? { ...given, day: dayOf(input.from, input.timeZone) } : given };
  });
}
