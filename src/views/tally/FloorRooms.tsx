import type { CSSProperties, ReactNode, Ref } from 'react';
import { useHouse } from '@/client/HouseContext';
import type { LengthUnit } from '@/core/measure/unit';
import { PageLink } from '@/ui/PageLink';
import { roughLength } from '@/words/lengthWords';
import { floorsOf, type ListedRoom } from './arrange';

interface FloorRoomsProps {
  readonly rooms: readonly ListedRoom[];
  readonly opened: string | undefined;
  readonly unit: LengthUnit;
}

/** The rooms under their floors, each floor with its feet of joint. */
export function FloorRooms({
  rooms,
  row,
  unit,
}: Pick<FloorRoomsProps, 'rooms' | 'unit'> & { readonly row: (room: ListedRoom) => ReactNode }) {
  return floorsOf(rooms).map(({ floor, rooms: onFloor }) => (
    <section key={floor} className="mb-3" aria-label={floor}>
      <h2 className="flex justify-between px-2 text-sm text-muted">
        {floor}
        <span>
          {roughLength(
            onFloor.reduce((sum, { length }) => sum + length, 0),
            unit,
          )}{' '}
          of joint
        </span>
      </h2>
      <ul className="max-lg:flex max-lg:flex-wrap max-lg:gap-1">{onFloor.map(row)}</ul>
    </section>
  ));
}

/** The rooms as they stand, to be opened. */
export const StandingRooms = ({ rooms, opened, unit }: FloorRoomsProps) => (
  <FloorRooms
    rooms={rooms}
    unit={unit}
    row={(room) => <RoomRow key={room.id} room={room} isOpen={opened === room.id} unit={unit} />}
  />
);

/** A room of the list; `handle` is what it is taken by, where it can be moved. */
export function RoomRow({
  room,
  isOpen,
  unit,
  handle,
  row,
  style,
  dragged = false,
}: {
  readonly room: ListedRoom;
  readonly isOpen: boolean;
  readonly unit: LengthUnit;
  readonly handle?: ReactNode;
  readonly row?: Ref<HTMLLIElement>;
  readonly style?: CSSProperties | undefined;
  readonly dragged?: boolean;
}) {
  const { id: houseId } = useHouse();
  return (
    <li
      ref={row}
      style={style}
      className={`flex items-center rounded-lg ${isOpen ? 'bg-base-200 font-semibold' : 'hover:bg-base-200'} ${dragged ? 'relative z-10 bg-base-300' : ''}`}
    >
      <PageLink
        href={`/h/${houseId}/tally?room=${room.id}`}
        aria-current={isOpen ? 'page' : undefined}
        className="flex min-h-11 min-w-0 flex-1 items-center justify-between gap-2 px-2"
      >
        <span className="min-w-0 break-words">{room.name}</span>
        <span className="text-sm text-muted whitespace-nowrap">{roughLength(room.length, unit)}</span>
      </PageLink>
      {handle}
    </li>
  );
}
