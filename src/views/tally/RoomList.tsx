'use client';

import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { GripVertical } from 'lucide-react';
import Link from 'next/link';
import { memo, useId, useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import type { LengthUnit } from '@/core/measure/unit';
import { roughLength } from '@/ui/lengthWords';
import { floorsOf, type ListedRoom, moved } from './arrange';

/** Rooms enough that a search helps. */
const MANY = 12;

/** The rooms by floor with their feet of joint; they are dragged, or moved by keys, into another order or floor. */
export const RoomList = memo(function RoomList({
  rooms,
  opened,
  unit,
  mayEdit,
  onArrange,
}: {
  readonly rooms: readonly ListedRoom[];
  readonly opened: string | undefined;
  readonly unit: LengthUnit;
  readonly mayEdit: boolean;
  readonly onArrange: (rooms: readonly ListedRoom[]) => void;
}) {
  const { id: houseId } = useHouse();
  const [search, setSearch] = useState('');
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const shown = rooms.filter(({ name, floor }) => `${name} ${floor}`.toLowerCase().includes(search.toLowerCase()));
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id) onArrange(moved(rooms, String(active.id), String(over.id)));
  };
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
      <DndContext id={useId()} sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
        <SortableContext items={shown.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
          {floorsOf(shown).map(({ floor, rooms: onFloor }) => (
            <section key={floor} className="mb-3" aria-label={floor}>
              <h2 className="flex justify-between px-2 text-sm text-muted">
                {floor}
                <span>
                  {roughLength(
                    onFloor.reduce((sum, { length }) => sum + length, 0),
                    unit,
                  )}
                </span>
              </h2>
              <ul className="max-lg:flex max-lg:flex-wrap max-lg:gap-1">
                {onFloor.map((room) => (
                  <RoomRow
                    key={room.id}
                    room={room}
                    href={`/h/${houseId}/tally?room=${room.id}`}
                    isOpen={opened === room.id}
                    unit={unit}
                    mayMove={mayEdit && search === ''}
                  />
                ))}
              </ul>
            </section>
          ))}
        </SortableContext>
      </DndContext>
      {shown.length === 0 && rooms.length > 0 && <p className="px-2 text-muted">No room is called so.</p>}
      {mayEdit && (
        <Link
          prefetch={false}
          href={`/h/${houseId}/tally?new`}
          className="flex min-h-11 items-center justify-between rounded-lg px-2 font-semibold text-primary hover:bg-base-200"
        >
          + Room{' '}
          <span className="kbd kbd-sm" aria-hidden="true">
            n
          </span>
        </Link>
      )}
    </nav>
  );
});

function RoomRow({
  room,
  href,
  isOpen,
  unit,
  mayMove,
}: {
  readonly room: ListedRoom;
  readonly href: string;
  readonly isOpen: boolean;
  readonly unit: LengthUnit;
  readonly mayMove: boolean;
}) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, isDragging } = useSortable({
    id: room.id,
    disabled: !mayMove,
  });
  return (
    <li
      ref={setNodeRef}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      className={`flex items-center rounded-lg ${isOpen ? 'bg-base-200 font-semibold' : 'hover:bg-base-200'} ${isDragging ? 'relative z-10 bg-base-300' : ''}`}
    >
      <Link
        prefetch={false}
        href={href}
        aria-current={isOpen ? 'page' : undefined}
        className="flex min-h-11 min-w-0 flex-1 items-center justify-between gap-2 px-2"
      >
        <span className="min-w-0 break-words">{room.name}</span>
        <span className="text-sm text-muted whitespace-nowrap">{roughLength(room.length, unit)}</span>
      </Link>
      {mayMove && (
        <button
          ref={setActivatorNodeRef}
          type="button"
          className="grid h-11 w-6 cursor-grab touch-none place-items-center text-muted max-lg:hidden"
          {...attributes}
          {...listeners}
          aria-label={`Move ${room.name}`}
        >
          <GripVertical className="size-4" aria-hidden="true" />
        </button>
      )}
    </li>
  );
}
