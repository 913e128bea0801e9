'use client';

import { useRouter } from 'next/navigation';
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import type { QuickRoom } from '@/core/house/parseQuickLine';
import type { HouseHead, Room } from '@/core/house/schema';
import type { JointClass } from '@/core/joints/joint';
import { takeOff } from '@/core/joints/takeOff';
import type { Tally } from '@/core/joints/tally';
import { UnrolledRoom } from '@/ui/room/UnrolledRoom';
import { unrollRoom } from '@/ui/room/unroll';
import { useKey } from '@/ui/useKey';
import { QuickLine } from './QuickLine';
import { RoomForm } from './RoomForm';
import { type ListedRoom, RoomList } from './RoomList';
import { StaleNotice } from './StaleNotice';
import { TallyTable } from './TallyTable';
import { useDraft } from './useDraft';
import { type KeepActions, useKeep } from './useKeep';

interface TallyViewProps extends KeepActions {
  readonly houseId: string;
  readonly house: HouseHead;
  readonly rooms: readonly (ListedRoom & { readonly room: Room; readonly version: number })[];
  readonly total: Tally;
  /** The room to open; undefined starts a new one. */
  readonly opened: string | undefined;
  readonly mayEdit: boolean;
}

/** Taking off: the quick line (or the form), the room laid flat, and its tally. */
export function TallyView({ houseId, house, rooms, total, opened, mayEdit, addRoom, saveRoom }: TallyViewProps) {
  const router = useRouter();
  const current = rooms.find(({ id }) => id === opened);
  const draft = useDraft(house, current?.room);
  const [lit, setLit] = useState<JointClass>();
  const [asForm, setAsForm] = useState(false);
  const input = useRef<HTMLTextAreaElement>(null);
  const shown = useDeferredValue(draft.room);
  const result = useMemo(() => (shown ? takeOff({ ...shown, id: 'draft' }, house) : undefined), [shown, house]);
  const unrolled = useMemo(() => result && unrollRoom(result), [result]);
  const { keep, keepMine, state } = useKeep({ houseId, unit: house.unit, current, draft, addRoom, saveRoom });

  useKey('/n', (key) => {
    if (key === 'n') router.push(`/h/${houseId}/tally?new`);
    else input.current?.focus();
  });
  useEffect(() => {
    if (!opened) input.current?.focus();
  }, [opened]);

  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] lg:h-[calc(100dvh-7.35rem)] lg:flex-none lg:grid-cols-[12rem_minmax(0,1fr)_21rem] lg:grid-rows-[minmax(0,1fr)]">
      <h1 className="sr-only">Tally</h1>
      <RoomList houseId={houseId} rooms={rooms} opened={opened} unit={house.unit} mayAdd={mayEdit} />
      <div className="flex min-w-0 flex-col gap-2 p-4 lg:overflow-y-auto">
        {mayEdit && <QuickLine draft={draft} input={input} onKeep={keep} />}
        <div className="flex flex-wrap items-center gap-2">
          {mayEdit && (
            <button type="button" className="btn btn-primary" onClick={keep} disabled={state.busy || !draft.reading.ok}>
              {state.busy ? 'Keeping …' : current ? 'Keep changes' : 'Keep room'}
            </button>
          )}
          {mayEdit && (
            <button type="button" className="btn" aria-expanded={asForm} onClick={() => setAsForm(!asForm)}>
              {asForm ? 'Hide the form' : 'As a form'}
            </button>
          )}
          <span role="status" className={state.failed ? 'text-error' : 'text-muted'}>
            {state.message ?? summary(result?.tally, draft.room)}
          </span>
        </div>
        {state.theirs && (
          <StaleNotice
            mine={draft.room}
            theirs={state.theirs.room}
            unit={house.unit}
            onMine={keepMine}
            onTheirs={() => state.takeTheirs()}
          />
        )}
        {asForm && <RoomForm room={draft.room} revision={draft.revision} house={house} onRoom={draft.setRoom} />}
        {unrolled ? (
          <UnrolledRoom
            room={unrolled}
            lit={lit}
            onLight={setLit}
            className="min-h-80 w-full flex-1 lg:h-0 lg:min-h-96"
          />
        ) : (
          <p className="grid min-h-80 flex-1 place-items-center rounded-2xl border border-dashed border-base-300 p-6 text-center text-muted">
            Type a room above: its name, length x width x height, then its doors and windows. The picture follows as you
            type; “?” shows the grammar.
          </p>
        )}
      </div>
      <aside className="space-y-8 border-base-300 p-4 lg:overflow-y-auto lg:border-l">
        {result && draft.room && (
          <TallyTable title={draft.room.name} tally={result.tally} unit={house.unit} lit={lit} onLight={setLit} />
        )}
        {rooms.length > 0 && (
          <TallyTable title="The whole house" tally={total} unit={house.unit} lit={lit} onLight={setLit} />
        )}
      </aside>
    </main>
  );
}

function summary(tally: Tally | undefined, room: QuickRoom | undefined): string {
  if (!tally || !room) return '';
  const { butt } = tally.classes;
  return butt.count === 0 ? 'No butts' : `${butt.count} ${butt.count === 1 ? 'butt' : 'butts'}`;
}
