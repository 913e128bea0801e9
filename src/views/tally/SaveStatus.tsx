'use client';

import { useHouse } from '@/client/HouseContext';
import { PageLink } from '@/ui/PageLink';
import type { KeepState } from './useKeep';
import type { NewRooms } from './useNewRooms';

/** Tells what became of the line, and which new room was saved last, with a way to open it. */
export function SaveStatus({
  failed,
  words,
  rooms,
}: {
  readonly failed: boolean;
  readonly words: string;
  /** The new rooms, once one was sent. */
  readonly rooms: NewRooms | undefined;
}) {
  return (
    <>
      <span role="status" className={failed ? 'text-error' : 'text-muted'}>
        {words}
      </span>
      {rooms && <SavedRoom rooms={rooms} />}
    </>
  );
}

function SavedRoom({ rooms: { isSaving, saved } }: { readonly rooms: NewRooms }) {
  const { id: house } = useHouse();
  return (
    <span role="status" className="flex flex-wrap items-center gap-2">
      {isSaving && 'Saving …'}
      {!isSaving && saved && (
        <>
          Saved {saved.room.name}.
          <PageLink href={`/h/${house}/tally?room=${saved.id}`} className="link">
            Open {saved.room.name}
          </PageLink>
        </>
      )}
    </span>
  );
}

/** Offers what was typed here before and never saved. */
export function UnsavedNotice({
  what,
  state: { left, restore, discard },
}: {
  readonly what: 'changes' | 'room';
  readonly state: KeepState;
}) {
  return (
    <p role="status" className="flex flex-wrap items-center gap-3 rounded-xl bg-base-200 p-3">
      <span>
        Unsaved {what}: <span className="font-mono break-words whitespace-pre-line">{left?.line}</span>
      </span>
      <button type="button" className="btn btn-primary btn-sm" onClick={restore}>
        Restore
      </button>
      <button type="button" className="btn btn-sm" onClick={discard}>
        Discard
      </button>
    </p>
  );
}
