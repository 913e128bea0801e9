import { causeOf } from '@/core/inspect/causeOf';
import { sandingOf } from '@/core/inspect/sandable';
import type { Person } from '@/core/log/person';
import type { OpenItem } from '@/core/log/roomState';
import type { LengthUnit } from '@/core/measure/unit';
import type { HouseSnapshot, RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { AddPhotos } from '@/ui/photo/AddPhotos';
import { ItemList } from '@/ui/problem/ItemList';
import { ProblemButton } from '@/ui/problem/ProblemButton';
import { StateMark } from '@/ui/state/StateMark';
import { namesIn } from '@/words/names';
import { roomWords } from '@/words/stateWords';
import { instantWords, spanWords } from '@/words/when';
import { causeWords } from './causeWords';
import { LightWalk } from './LightWalk';
import { NoteAnywhere } from './NoteAnywhere';
import { SandPanel } from './SandPanel';
import { SealButton } from './SealButton';
import { lightRows, sandRows } from './sandRows';

interface SandViewProps {
  readonly houseId: string;
  readonly snapshot: HouseSnapshot;
  readonly people: readonly Person[];
  readonly now: number;
  readonly timeZone: string;
  readonly role: Person['role'];
}

const ORDER = ['sand', 'check', 'seal', 'handOver', 'fix', 'go', 'wet', 'stuck', 'done', 'nothing'] as const;

/** What may be sanded and what is checked in light, with the open items of each room. */
export function SandView({ houseId, snapshot, people, now, timeZone, role }: SandViewProps) {
  const rooms = snapshot.rooms.toSorted(
    (a, b) => ORDER.indexOf(a.standing.now.kind) - ORDER.indexOf(b.standing.now.kind),
  );
  const atWork = rooms.filter(
    ({ standing, state, done }) =>
      ['sand', 'check', 'seal', 'handOver', 'fix'].includes(standing.now.kind) ||
      done.sandedPieces.size > 0 ||
      state.items.some(({ closed }) => !closed),
  );
  const later = rooms.filter((room) => !atWork.includes(room));
  const anyWet = snapshot.rooms.some(({ standing }) => standing.wetUntil !== undefined);
  return (
    <main className="grid flex-1 content-start gap-5 p-4 grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_22rem] lg:px-5">
      <section className="space-y-4">
        <h1 className="sr-only">Sand and light</h1>
        {atWork.length === 0 && <p className="sheet p-8 text-center text-lg">No room is dry to the last coat yet.</p>}
        {atWork.map((room) => (
          <RoomCard
            key={room.room.id}
            houseId={houseId}
            room={room}
            unit={snapshot.house.unit}
            people={people}
            now={now}
            timeZone={timeZone}
            role={role}
          />
        ))}
      </section>
      <aside className="space-y-4">
        <section className="sheet p-4">
          <h2>Not yet</h2>
          <ul className="mt-1 divide-y divide-base-300">
            {later.map((room) => (
              <li key={room.room.id} className="flex justify-between gap-3 py-1.5">
                <span>{room.room.name}</span>
                <StateMark words={roomWords(room.standing.now, now, timeZone)} className="text-sm" />
              </li>
            ))}
          </ul>
        </section>
        {role !== 'viewer' && later.length > 0 && (
          <NoteAnywhere now={now} rooms={later.map(({ room: { id, name } }) => ({ id, name }))} />
        )}
        <section className="sheet space-y-2 p-4 text-sm">
          <h2>Before you sand</h2>
          {anyWet && <p className="font-semibold text-warning">Mud is wet in this house: no dust beside wet mud.</p>}
          <p>Mask on, room shut off, vacuum or wet sponge. Some muds hold silica.</p>
          <p>
            The pole keeps {snapshot.house.unit === 'in' ? '½–1″' : '12–25 mm'} off an inside corner; a fine sponge does
            the rest. Along the joint, or 10–20° off it. Stop where tape appears.
          </p>
          <p>In an old house, test for asbestos and lead before sanding anything that was there before.</p>
          <p className="text-muted">Product instructions, local codes and licensed practice come first.</p>
        </section>
      </aside>
    </main>
  );
}

function RoomCard({
  houseId,
  room,
  unit,
  people,
  now,
  timeZone,
  role,
}: { readonly room: RoomSnapshot; readonly unit: LengthUnit } & Omit<SandViewProps, 'snapshot'>) {
  const { id, name } = room.room;
  const { state, done, standing } = room;
  const sanding = sandingOf(room, now);
  const { hours } = sanding;
  const namesOf = namesIn(people);
  const open = state.items.filter(({ closed }) => !closed);
  const works = role !== 'viewer';
  const faces = lightRows(room, now, timeZone, namesOf);
  return (
    <article id={id} className="sheet space-y-3 p-4 sm:p-5">
      <header className="flex flex-wrap items-center justify-between gap-3">
        <div>
          <h2>{name}</h2>
          <StateMark words={roomWords(standing.now, now, timeZone)} />
        </div>
      </header>
      <p className="text-sm text-muted">
        {done.sanded
          ? `Sanded by ${namesOf(done.sanded.who)}, ${instantWords(Date.parse(done.sanded.at), timeZone)}.`
          : standing.now.kind === 'sand'
            ? `Every coat is on and dry. Sanding takes ${spanWords(hours)}.`
            : ''}
        {done.checked &&
          ` Checked to level ${done.checked.level} by ${namesOf(done.checked.who)}, ${instantWords(Date.parse(done.checked.at), timeZone)}.`}
      </p>
      {!done.sanded && standing.now.kind !== 'nothing' && (
        <SandPanel
          now={now}
          room={{ id, name }}
          rows={sandRows(sanding, unit, now, timeZone)}
          faces={faces.map((face) => ({ id: face.id, name: face.name }))}
          works={works}
        />
      )}
      {role === 'lead' && ['sand', 'check', 'fix'].includes(standing.now.kind) && done.sandedPieces.size > 0 && (
        <LightWalk now={now} room={{ id, name }} rows={faces} />
      )}
      <ItemList
        house={houseId}
        room={room.room}
        pieces={room.pieces}
        items={open}
        unit={unit}
        now={now}
        works={works}
        namesOf={namesOf}
        {...(role === 'lead'
          ? { causeWords: (item: OpenItem) => causeWords(causeOf(item, room), namesOf, timeZone) }
          : {})}
      />
      {works && (
        <div className="flex flex-wrap items-end gap-3">
          {standing.now.kind === 'seal' && <SealButton now={now} room={{ id, name }} />}
          <ProblemButton now={now} room={{ id, name }} />
          <AddPhotos now={now} room={{ id, name }} />
        </div>
      )}
    </article>
  );
}
