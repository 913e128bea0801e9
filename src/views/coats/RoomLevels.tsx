'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Answer } from '@/core/house/answer';
import { LEVELS, type Level } from '@/core/house/level';
import type { Room } from '@/core/house/schema';
import { SERVER_LOST } from '@/ui/useSubmit';

/** The level of each room: as the house, or its own. */
export function RoomLevels({
  houseId,
  houseLevel,
  rooms,
  mayEdit,
  saveRoom,
}: {
  readonly houseId: string;
  readonly houseLevel: Level;
  readonly rooms: readonly { readonly room: Room; readonly version: number }[];
  readonly mayEdit: boolean;
  readonly saveRoom: (input: {
    house: string;
    version: number;
    room: Room;
  }) => Promise<Answer<{ readonly kind: 'saved' | 'stale' }>>;
}) {
  const router = useRouter();
  const [busy, setBusy] = useState<string>();
  const [message, setMessage] = useState<string>();
  const choose = async (room: Room, version: number, text: string) => {
    const level = LEVELS.find((candidate) => String(candidate) === text);
    const { level: _level, ...finish } = room.finish ?? {};
    setBusy(room.id);
    setMessage(undefined);
    try {
      const answer = await saveRoom({
        house: houseId,
        version,
        room: { ...room, finish: level === undefined ? finish : { ...finish, level } },
      });
      if (!answer.ok) setMessage(answer.message);
      else if (answer.value.kind === 'stale')
        setMessage(`Somebody changed ${room.name} in the meantime. Choose again.`);
      router.refresh();
    } catch {
      setMessage(SERVER_LOST);
    } finally {
      setBusy(undefined);
    }
  };
  if (rooms.length === 0) return <p className="text-muted">No rooms yet.</p>;
  return (
    <>
      {message && (
        <p role="alert" className="text-error">
          {message}
        </p>
      )}
      <ul className="divide-y divide-base-300">
        {rooms.map(({ room, version }) => (
          <li key={room.id} className="flex items-center justify-between gap-3 py-1.5">
            <span>{room.name}</span>
            <select
              aria-label={`Level of ${room.name}`}
              className="select w-40"
              disabled={!mayEdit || busy !== undefined}
              value={room.finish?.level ?? ''}
              onChange={(event) => void choose(room, version, event.target.value)}
            >
              <option value="">as house ({houseLevel})</option>
              {LEVELS.map((level) => (
                <option key={level} value={level}>
                  level {level}
                </option>
              ))}
            </select>
          </li>
        ))}
      </ul>
    </>
  );
}
