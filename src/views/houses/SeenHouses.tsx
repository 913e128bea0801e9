'use client';

import { useCommand } from '@/client/useCommand';
import type { Person } from '@/core/log/person';

interface SeenHousesProps {
  readonly person: Person;
  readonly houses: readonly { readonly id: string; readonly name: string }[];
  /** The ids of those that they were let into. */
  readonly seen: readonly string[];
}

/** The houses that a viewer was let into, as a lead says. */
export function SeenHouses({ person, houses, seen }: SeenHousesProps) {
  const { run, busy, message } = useCommand();
  return (
    <fieldset disabled={busy}>
      <legend className="mb-1 text-sm font-semibold">Houses {person.name} may look at</legend>
      {houses.length === 0 && <p className="text-muted">No house yet.</p>}
      {houses.map(({ id, name }) => (
        <label key={id} className="flex min-h-11 cursor-pointer items-center gap-3">
          <input
            type="checkbox"
            className="checkbox rounded-md"
            checked={seen.includes(id)}
            onChange={(event) => void run(event.target.checked ? 'letIn' : 'shutOut', { house: id, person: person.id })}
          />
          {name}
        </label>
      ))}
      {message && (
        <p role="alert" className="text-error">
          {message}
        </p>
      )}
    </fieldset>
  );
}
