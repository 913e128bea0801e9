'use client';

import { useState } from 'react';
import type { CoatedClass } from '@/core/method/coat';
import { Dialog } from '@/ui/Dialog';
import { PlaceChooser, type PlaceInRoom } from '@/ui/room/PlaceChooser';
import { CLASS_NAMES } from '@/words/stateWords';
import { TouchButtons } from './TouchButtons';

/** A touch check on one joint: tapped on the room laid flat, then what was found there. */
export function TouchPlace({
  room,
  readyAt,
  now,
}: {
  readonly room: { readonly id: string; readonly name: string };
  /** When the clock has each class ready. */
  readonly readyAt: Readonly<Partial<Record<CoatedClass, number>>>;
  readonly now: number;
}) {
  const [open, setOpen] = useState(false);
  const [place, setPlace] = useState<PlaceInRoom>();
  const close = () => {
    setOpen(false);
    setPlace(undefined);
  };
  return (
    <>
      <button type="button" className="btn btn-ghost" onClick={() => setOpen(true)}>
        One joint only
      </button>
      {open && (
        <Dialog title={`A joint of ${room.name}`} close={close} className="gloves sm:max-w-3xl">
          <PlaceChooser room={room.id} chosen={place} onChange={setPlace} />
          {place?.piece ? (
            <TouchButtons
              room={room.id}
              kind={place.piece.class}
              pieces={[place.piece.id]}
              label={`${CLASS_NAMES[place.piece.class]}, this one`}
              readyAt={readyAt[place.piece.class]}
              now={now}
            />
          ) : (
            <p role="status">Tap the joint that you touched.</p>
          )}
          <button type="button" className="btn w-full" onClick={close}>
            Close
          </button>
        </Dialog>
      )}
    </>
  );
}
