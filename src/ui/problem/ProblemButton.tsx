'use client';

import { useState } from 'react';
import { ProblemDialog } from './ProblemDialog';

/** Says that something is wrong in a room, from wherever it is seen. */
export function ProblemButton({
  now,
  room,
  face,
  label = `Something is wrong in ${room.name}`,
  className = 'btn btn-lg',
}: {
  readonly now: number;
  readonly room: { readonly id: string; readonly name: string };
  /** Where it is looked for first. */
  readonly face?: string;
  readonly label?: string;
  readonly className?: string;
}) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className={className} aria-label={label} onClick={() => setOpen(true)}>
        Something is wrong
      </button>
      {open && <ProblemDialog now={now} room={room} face={face} close={() => setOpen(false)} />}
    </>
  );
}
