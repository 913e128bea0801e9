'use client';

import { lazy, memo, Suspense, useState } from 'react';
import type { LengthUnit } from '@/core/measure/unit';
import type { ListedRoom } from './arrange';
import { StandingRooms } from './FloorRooms';

/** Rooms enough that a search helps. */
const MANY = 12;

// What moves them comes after the page.
const MovableRooms = lazy(async () => ({ default: (await import('./MovableRooms')).MovableRooms }));

/** The rooms by floor with their feet of joint; who may edit arranges them. */
export const RoomList = memo(function RoomList({
  rooms,
  opened,
  unit,
  mayEdit,
  onArrange,
  startRoom,
}: {
  readonly rooms: readonly ListedRoom[];
  readonly opened: string | undefined;
  readonly unit: LengthUnit;
  readonly mayEdit: boolean;
  readonly onArrange: (rooms: readonly ListedRoom[]) => void;
  readonly startRoom: () => void;
}) {
  const [search, setSearch] = useState('');
  const shown = rooms.filter(({ name, floor }) => `${name} ${floor}`.toLowerCase().includes(search.toLowerCase()));
  const standing = <StandingRooms rooms={shown} opened={opened} unit={unit} />;
  return (
    <nav
      aria-label="Rooms"
      className="border-base-300 p-3 md:col-span-2 lg:col-span-1 lg:overflow-y-auto lg:border-r print:hidden"
    >
      {rooms.length > MANY && (
        <input
          type="search"
          className="input mb-2 w-full"
          placeholder="Find a room"
          aria-label="Find a room"
          value={search}
          onChange={({ target }) => setSearch(target.value)}
        />
      )}
      {/* What a search found is not in the order that would be changed. */}
      {mayEdit && search === '' ? (
        <Suspense fallback={standing}>
          <MovableRooms rooms={rooms} opened={opened} unit={unit} onArrange={onArrange} />
        </Suspense>
      ) : (
        standing
      )}
      {shown.length === 0 && rooms.length > 0 && <p className="px-2 text-muted">No room with this name.</p>}
      {mayEdit && (
        <button
          type="button"
          className="flex min-h-11 w-full cursor-pointer items-center justify-between rounded-lg px-2 font-semibold text-primary hover:bg-base-200"
          onClick={startRoom}
        >
          + Room{' '}
          <span className="kbd kbd-sm" aria-hidden="true">
            n
          </span>
        </button>
      )}
    </nav>
  );
});
