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
import { useId } from 'react';
import type { LengthUnit } from '@/core/measure/unit';
import { type ListedRoom, moved } from './arrange';
import { FloorRooms, RoomRow } from './FloorRooms';

/** The rooms, to be dragged, or moved by keys, into another order or floor. */
export function MovableRooms({
  rooms,
  opened,
  unit,
  onArrange,
}: {
  readonly rooms: readonly ListedRoom[];
  readonly opened: string | undefined;
  readonly unit: LengthUnit;
  readonly onArrange: (rooms: readonly ListedRoom[]) => void;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id) onArrange(moved(rooms, String(active.id), String(over.id)));
  };
  return (
    <DndContext id={useId()} sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
      <SortableContext items={rooms.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        <FloorRooms
          rooms={rooms}
          unit={unit}
          row={(room) => <MovableRow key={room.id} room={room} isOpen={opened === room.id} unit={unit} />}
        />
      </SortableContext>
    </DndContext>
  );
}

function MovableRow({
  room,
  isOpen,
  unit,
}: {
  readonly room: ListedRoom;
  readonly isOpen: boolean;
  readonly unit: LengthUnit;
}) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, isDragging } = useSortable({
    id: room.id,
  });
  return (
    <RoomRow
      room={room}
      isOpen={isOpen}
      unit={unit}
      row={setNodeRef}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      dragged={isDragging}
      handle={
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
      }
    />
  );
}
