import Link from 'next/link';
import type { ReactNode } from 'react';
import { dayOf } from '@/core/measure/dayOf';
import { handedPasses } from '@/core/readiness/handedPasses';
import type { RoomSite, Site } from '@/core/readiness/siteOf';
import { dayListOf } from '@/core/work/dayListOf';
import { itemWords } from '@/ui/defectWords';
import { RoomsOfFloor } from '@/ui/room/RoomsOfFloor';
import { StateMark } from '@/ui/state/StateMark';
import { CLASS_NAMES, PASS_NAMES, roomWords } from '@/ui/state/words';
import { spanWords, untilWords } from '@/ui/when';

interface HouseViewProps {
  readonly houseId: string;
  readonly site: Site;
  readonly now: number;
  readonly timeZone: string;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  /** When it will be done. */
  readonly finish: ReactNode;
}

/** The morning walk: the rooms by how far they are, what can go now, what waits, what is stuck, and who is here. */
export function HouseView({ houseId, site, now, timeZone, people, finish }: HouseViewProps) {
  const floors = [...new Set(site.rooms.map(({ room }) => room.floor))];
  if (site.rooms.length === 0) return <NoRooms houseId={houseId} />;
  return (
    <main className="grid flex-1 gap-5 p-4 grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_25rem] lg:px-5">
      <section aria-label="Rooms by floor" className="grid content-start gap-4 xl:grid-cols-2">
        <h1 className="sr-only">{site.house.name}</h1>
        {floors.map((floor) => (
          <RoomsOfFloor
            key={floor}
            houseId={houseId}
            floor={floor}
            rooms={site.rooms.filter(({ room }) => room.floor === floor)}
            unit={site.house.unit}
            now={now}
            timeZone={timeZone}
          />
        ))}
        {finish}
        <Today site={site} houseId={houseId} now={now} timeZone={timeZone} people={people} />
      </section>
      <Lists houseId={houseId} site={site} now={now} timeZone={timeZone} />
    </main>
  );
}

function NoRooms({ houseId }: { readonly houseId: string }) {
  return (
    <main className="grid flex-1 place-items-center p-6 text-center">
      <div className="max-w-md space-y-4">
        <h1>No rooms yet</h1>
        <p className="text-muted">
          Take off the first one with a single line of text: its name, its sizes, its doors and windows.
        </p>
        <Link prefetch={false} href={`/h/${houseId}/tally?new`} className="btn btn-primary btn-lg">
          Take off a room
        </Link>
      </div>
    </main>
  );
}

function Lists({ houseId, site, now, timeZone }: Omit<HouseViewProps, 'people' | 'finish'>) {
  const going = site.rooms.filter(({ standing }) => ['go', 'sand', 'check', 'handOver'].includes(standing.now.kind));
  const wet = site.rooms.filter(({ standing }) => standing.classes.some((kind) => kind.now.kind === 'wet'));
  const stuck = site.rooms.filter(({ standing }) => standing.now.kind === 'stuck');
  return (
    <aside className="space-y-4" aria-label="What can be done">
      <Link prefetch={false} href={`/h/${houseId}/walk`} className="btn btn-lg w-full">
        Morning walk
      </Link>
      <Wrong houseId={houseId} site={site} />
      <RoomList
        title="Go now"
        empty="Nothing can be coated or sanded right now."
        rooms={going}
        houseId={houseId}
        note={(room) => goNote(room)}
        mark="go"
      />
      <RoomList
        title="Still wet"
        empty="Nothing is wet."
        rooms={[...wet].sort((a, b) => firstDry(a) - firstDry(b))}
        houseId={houseId}
        note={(room) => wetNote(room, now, timeZone)}
        mark="wet"
      />
      <RoomList
        title="Stuck"
        empty="Nothing is stuck."
        rooms={stuck}
        houseId={houseId}
        note={({ standing }) => (standing.now.kind === 'stuck' ? standing.now.why : '')}
        mark="stuck"
      />
    </aside>
  );
}

/** What is wrong and not mended, in the rooms where it is; nothing where nothing is. */
function Wrong({ houseId, site }: Pick<HouseViewProps, 'houseId' | 'site'>) {
  const items = site.rooms.flatMap(({ room, state }) =>
    state.items.filter(({ closed }) => !closed).map((item) => ({ room, item })),
  );
  if (items.length === 0) return null;
  return (
    <section className="sheet p-4">
      <h2>
        Something is wrong <span className="font-normal text-muted">{items.length}</span>
      </h2>
      <ul className="mt-1 divide-y divide-base-300">
        {items.slice(0, MOST_LISTED).map(({ room, item }) => (
          <li key={item.id}>
            <Link
              prefetch={false}
              href={`/h/${houseId}/sand#${room.id}`}
              className="block rounded-lg py-2 hover:bg-base-200"
            >
              <StateMark words={{ mark: 'stuck', title: room.name, detail: itemWords(item, room, site.house.unit) }} />
            </Link>
          </li>
        ))}
      </ul>
      {items.length > MOST_LISTED && (
        <Link prefetch={false} href={`/h/${houseId}/sand`} className="link text-primary">
          and {items.length - MOST_LISTED} more in Sand & light
        </Link>
      )}
    </section>
  );
}

/** A walk in the morning starts with a dozen rooms; a larger house has its board for the rest. */
const MOST_LISTED = 12;

function RoomList({
  title,
  empty,
  rooms,
  houseId,
  note,
  mark,
}: {
  readonly title: string;
  readonly empty: string;
  readonly rooms: readonly RoomSite[];
  readonly houseId: string;
  readonly note: (room: RoomSite) => string;
  readonly mark: 'go' | 'wet' | 'stuck';
}) {
  return (
    <section className="sheet p-4">
      <h2>
        {title} <span className="font-normal text-muted">{rooms.length}</span>
      </h2>
      {rooms.length === 0 && <p className="text-muted">{empty}</p>}
      <ul className="mt-1 divide-y divide-base-300">
        {rooms.slice(0, MOST_LISTED).map((room) => (
          <li key={room.room.id}>
            <Link prefetch={false} href={linkFor(room, houseId)} className="block rounded-lg py-2 hover:bg-base-200">
              <StateMark words={{ mark, title: room.room.name, detail: note(room) }} />
            </Link>
          </li>
        ))}
      </ul>
      {rooms.length > MOST_LISTED && (
        <Link prefetch={false} href={`/h/${houseId}/board`} className="link text-primary">
          and {rooms.length - MOST_LISTED} more on the coat board
        </Link>
      )}
    </section>
  );
}

function linkFor({ room, standing }: RoomSite, houseId: string): string {
  if (standing.now.kind === 'sand' || standing.now.kind === 'check') return `/h/${houseId}/sand#${room.id}`;
  if (standing.now.kind === 'handOver') return `/h/${houseId}/hand-over/${room.id}`;
  return `/h/${houseId}/board#${room.id}`;
}

function goNote({ standing }: RoomSite): string {
  if (standing.now.kind === 'sand') return 'dry: sand';
  if (standing.now.kind === 'check') return 'sanded: check in light';
  if (standing.now.kind === 'handOver') return 'checked: hand over';
  const byCoat = new Map<string, string[]>();
  for (const { class: kind, now } of standing.classes) {
    if (now.kind !== 'go') continue;
    byCoat.set(PASS_NAMES[now.coat.round], [
      ...(byCoat.get(PASS_NAMES[now.coat.round]) ?? []),
      CLASS_NAMES[kind].toLowerCase(),
    ]);
  }
  return [...byCoat].map(([pass, kinds]) => `${pass}: ${kinds.join(', ')}`).join('; ');
}

const wetTimes = ({ standing }: RoomSite): readonly number[] =>
  standing.classes.flatMap(({ now }) => (now.kind === 'wet' ? [now.until] : []));
const firstDry = (room: RoomSite): number => Math.min(...wetTimes(room));

function wetNote(room: RoomSite, now: number, timeZone: string): string {
  const times = wetTimes(room);
  return `${times.length} of ${room.standing.classes.length} classes, first until ${untilWords(Math.min(...times), now, timeZone)}`;
}

function Today({ houseId, site, now, timeZone, people }: Omit<HouseViewProps, 'finish'>) {
  const today = dayOf(now, timeZone);
  const handed = handedPasses(site.rooms);
  const work = people.flatMap((person) => {
    const list = dayListOf(handed, person.id, today);
    return list.passes.length > 0 ? [{ person, list }] : [];
  });
  return (
    <section className="sheet p-4 xl:col-span-2" aria-label="Today">
      <div className="flex items-baseline justify-between gap-2">
        <h2>Today</h2>
        <Link prefetch={false} href={`/h/${houseId}/run`} className="link text-primary">
          Run sheet
        </Link>
      </div>
      {work.length === 0 && (
        <p className="text-muted">Nobody has been given work today. Hand out work on the run sheet.</p>
      )}
      <ul className="mt-2 grid gap-x-6 gap-y-3 sm:grid-cols-2 xl:grid-cols-4">
        {work.map(({ person, list }) => (
          <li key={person.id}>
            <p className="flex justify-between gap-2 border-b border-base-300 pb-1 font-semibold">
              {person.name} <span className="font-normal text-muted">{spanWords(list.hours)}</span>
            </p>
            <ul className="mt-1 text-sm">
              {list.passes.map(({ task, room }) => (
                <li key={`${room.room.id} ${task.pass}`}>
                  {room.room.name}: {PASS_NAMES[task.pass].toLowerCase()}{' '}
                  <span className="sr-only">{roomWords(room.standing.now, now, timeZone).title}</span>
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}
