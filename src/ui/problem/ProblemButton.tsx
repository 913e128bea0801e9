'use client';

import { Suspense, useState } from 'react';
import { Opening } from '../Opening';
import { ProblemDialog } from './lazyDialog';

/** Says that something is wrong in a room, from wherever it is seen. */
export function ProblemButton({
  now,
  room,
  face,
  early = false,
  label = `Report problem in ${room.name}`,
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
        Report problem
      </button>
      {open && (
        <Suspense fallback={<Opening />}>
          <ProblemDialog
            now={now}
            room={room}
            at={face === undefined ? undefined : { face }}
            early={early}
            close={() => setOpen(false)}
          />
        </Suspense>
      )}
    </>
  );
}
