import Link from 'next/link';
import type { LengthUnit } from '@/core/measure/unit';
import { roughLength } from '@/ui/lengthWords';

export interface ListedRoom {
  readonly id: string;
  readonly name: string;
  readonly level: string;
  /** All joints of the room, mm. */
  readonly length: number;
}

/** The rooms by floor with their feet of joint. */
export function RoomList({
  houseId,
  rooms,
  opened,
  unit,
  mayAdd,
}: {
  readonly houseId: string;
  readonly rooms: readonly ListedRoom[];
  readonly opened: string | undefined;
  readonly unit: LengthUnit;
  readonly mayAdd: boolean;
}) {
  const levels = [...new Set(rooms.map(({ level }) => level))];
  return (
    <nav aria-label="Rooms" className="border-base-300 p-3 lg:overflow-y-auto lg:border-r">
      {levels.map((level) => (
        <section key={level} className="mb-3">
          <h2 className="px-2 text-sm text-muted">{level}</h2>
          <ul className="max-lg:flex max-lg:flex-wrap max-lg:gap-1">
            {rooms
              .filter((room) => room.level === level)
              .map(({ id, name, length }) => (
                <li key={id}>
                  <Link
                    prefetch={false}
                    href={`/h/${houseId}/tally?room=${id}`}
                    aria-current={opened === id ? 'page' : undefined}
                    className={`flex min-h-11 items-center justify-between gap-2 rounded-lg px-2 ${opened === id ? 'bg-base-200 font-semibold' : 'hover:bg-base-200'}`}
                  >
                    <span>{name}</span>
                    <span className="text-sm text-muted whitespace-nowrap">{roughLength(length, unit)}</span>
                  </Link>
                </li>
              ))}
          </ul>
        </section>
      ))}
      {mayAdd && (
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
}
