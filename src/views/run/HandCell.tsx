'use client';

import { useState } from 'react';
import { useLog } from '@/client/useLog';
import type { Person } from '@/core/log/person';
import type { Pass } from '@/core/plan/tasksOf';
import { PASS_NAMES } from '@/ui/state/words';
import { dayWords } from '@/ui/when';

/** Hands one pass of one room to a person for a day; each choice is recorded at once. */
export function HandCell({
  room,
  pass,
  person,
  day,
  days,
  crew,
  now,
}: {
  readonly room: { readonly id: string; readonly name: string };
  readonly pass: Pass;
  readonly person: string;
  readonly day: string | undefined;
  readonly days: readonly string[];
  readonly crew: readonly Person[];
  readonly now: number;
}) {
  const log = useLog(now);
  // What was chosen is shown until the page knows it; a page that somebody else changed shows theirs.
  const known = `${person} ${day}`;
  const [wanted, setWanted] = useState<{ readonly over: string; readonly person: string; readonly day: string }>();
  const shown = wanted?.over === known ? wanted : { person, day: day ?? days[0] ?? '' };
  const { person: chosen, day: onDay } = shown;
  const choices = days.includes(onDay) ? days : [onDay, ...days];
  const hand = async (nextPerson: string, nextDay: string) => {
    setWanted({ over: known, person: nextPerson, day: nextDay });
    const kept = await log.write([
      {
        kind: 'assigned',
        room: room.id,
        payload: { pass, person: nextPerson === '' ? null : nextPerson, day: nextDay },
      },
    ]);
    if (!kept) setWanted(undefined);
  };
  const what = `${room.name}, ${PASS_NAMES[pass].toLowerCase()}`;
  return (
    <div className="flex flex-col gap-1">
      <select
        className="select select-sm"
        aria-label={`Who runs ${what}`}
        value={chosen}
        disabled={log.busy}
        onChange={(event) => void hand(event.target.value, onDay)}
      >
        <option value="">nobody yet</option>
        {crew.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
      {chosen !== '' && (
        <select
          className="select select-sm"
          aria-label={`Day of ${what}`}
          value={onDay}
          disabled={log.busy}
          onChange={(event) => void hand(chosen, event.target.value)}
        >
          {choices.map((choice) => (
            <option key={choice} value={choice}>
              {choice === days[0] ? 'today' : dayWords(choice)}
            </option>
          ))}
        </select>
      )}
      {log.message && (
        <p role="alert" className="text-sm text-error">
          {log.message}
        </p>
      )}
    </div>
  );
}
