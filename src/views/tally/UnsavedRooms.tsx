'use client';

import { useEffect, useMemo, useRef } from 'react';
import type { HouseHead } from '@/core/house/schema';
import { type TakeOff, takeOff } from '@/core/joints/takeOff';
import { jointLength } from '@/core/joints/tally';
import { effortOf } from '@/core/room/checks/effortOf';
import { RoomThumb } from '@/ui/room/RoomThumb';
import { roughLength } from '@/words/lengthWords';
import { QuickLine } from './QuickLine';
import { useDraft } from './useDraft';
import type { NewRooms, UnsavedRoom } from './useNewRooms';

/** The rooms that were typed or pasted below each other and are not saved, each with its picture or what is wrong in it. */
export function UnsavedRooms({ rooms, house }: { readonly rooms: NewRooms; readonly house: HouseHead }) {
  const ready = rooms.unsaved.filter(({ room }) => room).length;
  return (
    <section aria-label="Rooms to save" className="sheet space-y-2 p-3 print:hidden">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2>Rooms to save</h2>
        <button type="button" className="btn btn-primary" disabled={ready === 0} onClick={rooms.saveAll}>
          Save {ready} {ready === 1 ? 'room' : 'rooms'}
        </button>
      </div>
      <ol className="divide-y divide-base-300">
        {rooms.unsaved.map((entry) => (
          <Row key={entry.key} entry={entry} rooms={rooms} house={house} />
        ))}
      </ol>
    </section>
  );
}

function Row({
  entry: { key, line, message },
  rooms: { change, remove, saveAll, addLines },
  house,
}: {
  readonly entry: UnsavedRoom;
  readonly rooms: NewRooms;
  readonly house: HouseHead;
}) {
  const draft = useDraft(house, { line });
  const input = useRef<HTMLTextAreaElement>(null);
  const room = draft.reading?.ok ? draft.reading.room : undefined;
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is typed decides
  useEffect(() => change(key, draft.line, room), [draft.line, room]);
  const result = useMemo((): TakeOff | undefined => {
    const whole = room && { ...room, id: 'draft' };
    return whole && effortOf(whole, house) !== undefined ? takeOff(whole, house) : undefined;
  }, [room, house]);
  return (
    <li className="grid grid-cols-[6rem_minmax(0,1fr)_auto] items-start gap-3 py-2">
      <div className="h-20 text-center text-sm text-muted">
        {result && (
          <>
            <RoomThumb result={result} title={room?.name ?? ''} className="h-14 w-full" />
            {roughLength(jointLength(result.tally), house.unit)} of joint
          </>
        )}
      </div>
      <div>
        <QuickLine
          label={`Line of ${room?.name ?? 'a room'}`}
          draft={draft}
          unit={house.unit}
          input={input}
          onKeep={saveAll}
          onLines={([first = '', ...more]) => {
            draft.typeLine(first);
            addLines(more);
          }}
        />
        {message && (
          <p role="alert" className="text-error">
            {message}
          </p>
        )}
      </div>
      <button type="button" className="btn" onClick={() => remove(key)}>
        Discard
      </button>
    </li>
  );
}
