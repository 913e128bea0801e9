'use client';

import { lazy, Suspense, useState } from 'react';
import { Opening } from '../Opening';

/** Drawn when it is opened: most days nothing is wrong. A device keeps it with everything else that it needs without a server. */
const ProblemDialog = lazy(async () => ({ default: (await import('./ProblemDialog')).ProblemDialog }));

/** Says that something is wrong in a room, from wherever it is seen. */
export function ProblemButton({
  now,
  room,
  face,
  early = false,
  label = `Something is wrong in ${room.name}`,
  className = 'btn btn-lg',
}: {
  readonly now: number;
  readonly room: { readonly id: string; readonly name: string };
  /** Where it is looked for first. */
  readonly face?: string;
  /** Before anything is on: only what is looked for then. */
  readonly early?: boolean;
  readonly label?: string;
  readonly className?: string;
}) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className={className} aria-label={label} onClick={() => setOpen(true)}>
        Something is wrong
      </button>
      {open && (
        <Suspense fallback={<Opening />}>
          <ProblemDialog now={now} room={room} face={face} early={early} close={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
