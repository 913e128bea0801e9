'use client';

import { CircleCheck, OctagonAlert, TriangleAlert } from 'lucide-react';
import { useHouse } from '@/client/HouseContext';
import type { Conflict } from '@/core/estimate/conflict';
import type { LengthUnit } from '@/core/measure/unit';
import { PageLink } from '@/ui/PageLink';
import { contradictionWords, insteadWords } from '@/words/conflictWords';
import { CLASS_NAMES } from '@/words/stateWords';

/** What contradicts itself, with the reason and the mend; what is forbidden first. */
export function ConflictList({
  conflicts,
  unit,
  mayEdit,
  mend,
}: {
  readonly conflicts: readonly Conflict[];
  readonly unit: LengthUnit;
  readonly mayEdit: boolean;
  readonly mend: (conflict: Conflict) => void;
}) {
  const { id: houseId } = useHouse();
  if (conflicts.length === 0)
    return (
      <p className="flex items-center gap-2">
        <CircleCheck aria-hidden="true" className="size-5 text-success" /> Nothing in this method contradicts itself for
        this house.
      </p>
    );
  const ordered = [...conflicts].sort(
    (a, b) => Number(b.severity === 'forbidden') - Number(a.severity === 'forbidden'),
  );
  return (
    <ul className="divide-y divide-base-300" aria-label="Contradictions">
      {ordered.map((conflict) => {
        const forbidden = conflict.severity === 'forbidden';
        const Mark = forbidden ? OctagonAlert : TriangleAlert;
        return (
          <li key={conflict.id} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-2">
            <Mark aria-hidden="true" className={`size-5 shrink-0 ${forbidden ? 'text-error' : 'text-warning'}`} />
            <p className="min-w-48 flex-1">
              <strong className={forbidden ? 'text-error' : 'text-warning'}>
                {forbidden ? 'Cannot be kept' : 'Doubtful'}
              </strong>
              {conflict.room && `, ${conflict.room.name}`}
              {conflict.class && `, ${CLASS_NAMES[conflict.class].toLowerCase()}`}:{' '}
              {contradictionWords(conflict.why, unit)}.{' '}
              {conflict.class && (
                <PageLink href={`/h/${houseId}/guide#${conflict.class}`} className="link text-primary">
                  Field guide
                </PageLink>
              )}
            </p>
            {mayEdit && (
              <button type="button" className="btn btn-sm min-h-10" onClick={() => mend(conflict)}>
                {insteadWords(conflict.why, unit)}
              </button>
            )}
          </li>
        );
      })}
    </ul>
  );
}
