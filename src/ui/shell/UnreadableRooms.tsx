'use client';

import { TriangleAlert } from 'lucide-react';
import { useCommand } from '@/client/useCommand';

interface UnreadableRoomsProps {
  readonly house: string;
  readonly rooms: readonly string[];
  readonly mayRemove: boolean;
}

/** Names the rooms that are stored in a form that cannot be read; a lead may take them out, their record stays. */
export function UnreadableRooms({ house, rooms, mayRemove }: UnreadableRoomsProps) {
  const { run, busy, message } = useCommand();
  return rooms.map((room) => (
    <div key={room} role="alert" className="alert rounded-none border-x-0 text-sm">
      <TriangleAlert aria-hidden="true" className="size-5 text-error" />
      <span>
        The room <b>{room}</b> cannot be read as it is stored, and counts nowhere; the rest of the house goes on.
        {message && ` ${message}`}
      </span>
      {mayRemove && (
        <button type="button" className="btn btn-sm" disabled={busy} onClick={() => run('removeRoom', { house, room })}>
          Take it out
        </button>
      )}
    </div>
  ));
}
