'use client';

import { type ReactNode, useMemo } from 'react';
import { useHouse } from '@/client/HouseContext';
import { PageLink } from '@/ui/PageLink';
import { type Packed, unpacked } from '@/ui/packed';
import { StateMark } from '@/ui/state/StateMark';
import { useLater } from '@/ui/useLater';
import { spanWords } from '@/words/when';
import type { HouseRows, Listed, PlanRoom } from './houseRows';
import { RoomsOfFloor } from './RoomsOfFloor';

interface HouseViewProps {
  readonly name: string;
  readonly rows: Packed<HouseRows>;
  /** When it will be done. */
  readonly finish: ReactNode;
}

/** More rooms than a screen shows. */
const SEEN_FIRST = 24;

/** The morning walk: the rooms by how far they are, what can go now, what waits, what is stuck, and who is here. */
export function HouseView({ name, rows, finish }: HouseViewProps) {
  const { floors, today, ...lists } = useMemo(() => unpacked(rows), [rows]);
  const drawn = useLater<PlanRoom>(
    useMemo(() => floors.flatMap(({ rooms }) => rooms), [floors]),
    SEEN_FIRST,
  );
  const seen = useMemo(() => new Set(drawn), [drawn]);
  if (floors.length === 0) return <NoRooms />;
  return (
    <main className="grid flex-1 gap-5 p-4 grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_25rem] lg:px-5">
      <section aria-label="Rooms by floor" className="grid content-start gap-4 xl:grid-cols-2">
        <h1 className="sr-only">{name}</h1>
        {floors.map(({ floor, rooms }) => (
          <RoomsOfFloor key={floor} floor={floor} rooms={rooms} drawn={seen} />
        ))}
        {finish}
        {today && <Today work={today} />}
      </section>
      <Lists {...lists} />
    </main>
  );
}

function NoRooms() {
  const { id } = useHouse();
  return (
    <main className="grid flex-1 place-items-center p-6 text-center">
      <div className="max-w-md space-y-4">
        <h1>No rooms yet</h1>
        <p className="text-muted">Take off the first room with one line of text: its name, sizes, doors and windows.</p>
        <PageLink href={`/h/${id}/tally?new`} className="btn btn-primary btn-lg">
          Take off a room
        </PageLink>
      </div>
    </main>
  );
}

function Lists({ wrong, going, wet, stuck }: Pick<HouseRows, 'wrong' | 'going' | 'wet' | 'stuck'>) {
  const { id } = useHouse();
  return (
    <aside className="space-y-4" aria-label="What can be done">
      <PageLink href={`/h/${id}/walk`} className="btn btn-lg w-full">
        Morning walk
      </PageLink>
      {wrong.count > 0 && <RoomList title="Problems" listed={wrong} more={SAND} mark="stuck" />}
      <RoomList title="Go now" empty="Nothing can be coated or sanded right now." listed={going} mark="go" />
      <RoomList title="Still wet" empty="Nothing is wet." listed={wet} mark="wet" />
      <RoomList title="Stuck" empty="Nothing is stuck." listed={stuck} mark="stuck" />
    </aside>
  );
}

const BOARD = { path: 'board', words: 'on the coat board' };
const SAND = { path: 'sand', words: 'in Sand & light' };

function RoomList({
  title,
  empty,
  listed: { count, rooms },
  more = BOARD,
  mark,
}: {
  readonly title: string;
  readonly empty?: string;
  readonly listed: Listed;
  /** Where the others are. */
  readonly more?: { readonly path: string; readonly words: string };
  readonly mark: 'go' | 'wet' | 'stuck';
}) {
  const { id } = useHouse();
  const rest = count - rooms.length;
  return (
    <section className="sheet p-4">
      <h2>
        {title} <span className="font-normal text-muted">{count}</span>
      </h2>
      {count === 0 && <p className="text-muted">{empty}</p>}
      <ul className="mt-1 divide-y divide-base-300">
        {rooms.map(({ key, name, path, note }) => (
          <li key={key}>
            <PageLink href={`/h/${id}${path}`} className="block rounded-lg py-2 hover:bg-base-200">
              <StateMark words={{ mark, title: name, detail: note }} />
            </PageLink>
          </li>
        ))}
      </ul>
      {rest > 0 && (
        <PageLink href={`/h/${id}/${more.path}`} className="link text-primary">
          and {rest} more {more.words}
        </PageLink>
      )}
    </section>
  );
}

function Today({ work }: { readonly work: NonNullable<HouseRows['today']> }) {
  const { id } = useHouse();
  return (
    <section className="sheet p-4 xl:col-span-2" aria-label="Today">
      <div className="flex items-baseline justify-between gap-2">
        <h2>Today</h2>
        <PageLink href={`/h/${id}/run`} className="link inline-flex min-h-11 items-center text-primary">
          Run sheet
        </PageLink>
      </div>
      {work.length === 0 && <p className="text-muted">No one has work today. Assign jobs on the run sheet.</p>}
      <ul className="mt-2 grid gap-x-6 gap-y-3 sm:grid-cols-2 xl:grid-cols-4">
        {work.map(({ id: person, name, left, passes }) => (
          <li key={person}>
            <p className="flex justify-between gap-2 border-b border-base-300 pb-1 font-semibold">
              {name} <span className="font-normal text-muted">{left > 0 ? `${spanWords(left)} left` : 'all done'}</span>
            </p>
            <ul className="mt-1 text-sm">
              {passes.map(({ key, words, state, isDone }) => (
                <li key={key} className={isDone ? 'text-muted' : undefined}>
                  {isDone && '✓ '}
                  {words} <span className="sr-only">{isDone ? 'done' : state}</span>
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}
