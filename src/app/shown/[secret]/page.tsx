import type { Metadata } from 'next';
import { whyNotHandedOver } from '@/core/inspect/signOff';
import type { RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { shownHouse, shownHung } from '@/server/shownHouse';
import { HouseCover } from '@/views/handover/HouseCover';
import { RoomSheet } from '@/views/handover/RoomSheet';
import { SignOnLink } from '@/views/handover/SignOnLink';
import { HangersList } from '@/views/hanger/HangersList';
import { roomWords } from '@/words/stateWords';

/** What it is about is nobody's business who only sees its address. */
export const metadata: Metadata = { title: 'Shown to you', robots: { index: false, follow: false } };

/**
 * What is shown to somebody who is not signed in, and nothing else: a hand-over with its cover and a sheet of each room, or the
 * list of the hanger.
 */
export default async function ShownPage({ params }: { readonly params: Promise<{ secret: string }> }) {
  const { secret } = await params;
  const shown = await shownHouse(secret);
  const { snapshot, what, people, company, sheets, now, timeZone } = shown;
  if (what === 'hanger')
    return (
      <main className="mx-auto w-full max-w-4xl flex-1 p-4">
        <HangersList
          snapshot={snapshot}
          otherwise={await shownHung(shown)}
          photos={`/api/shown/${secret}`}
          now={now}
          timeZone={timeZone}
        />
      </main>
    );
  const toSign = snapshot.rooms.filter((room) => whyNotHandedOver(room) === undefined);
  return (
    <main className="mx-auto w-full max-w-4xl flex-1 space-y-6 p-4">
      <HouseCover snapshot={snapshot} company={company} now={now} timeZone={timeZone} />
      {inOrderToRead(snapshot.rooms).map((room) => (
        <details key={room.room.id} className="print-fold sheet print:border-0">
          <summary className="flex min-h-12 cursor-pointer flex-wrap items-center gap-x-4 gap-y-1 px-4 py-2">
            <b className="flex-1 font-semibold">{room.room.name}</b>
            <span className="text-muted">level {room.level}</span>
            <span>{standingWords(room, now, timeZone)}</span>
          </summary>
          <RoomSheet
            house={snapshot.house}
            room={room}
            people={people}
            company={company}
            sheet={sheets.get(room.room.id)}
            photos={`/api/shown/${secret}`}
            now={now}
            timeZone={timeZone}
          />
        </details>
      ))}
      <SignOnLink
        secret={secret}
        rooms={toSign.map(({ room: { id, name }, state: { signatures } }) => ({
          id,
          name,
          sheet: sheets.get(id) ?? '',
          signedBy: signatures.filter(({ sheet }) => sheet === sheets.get(id)).map((own) => own.name),
        }))}
      />
    </main>
  );
}

const isOpen = ({ state }: RoomSnapshot): boolean => state.items.some(({ closed }) => !closed);
const isHandedOver = ({ standing }: RoomSnapshot): boolean => standing.now.kind === 'done';

/** Sorts rooms for a builder: those with open items, those that are handed over, then the others. */
function inOrderToRead(rooms: readonly RoomSnapshot[]): readonly RoomSnapshot[] {
  const rank = (room: RoomSnapshot) => (isOpen(room) ? 0 : isHandedOver(room) ? 1 : 2);
  return rooms.toSorted((a, b) => rank(a) - rank(b));
}

/** Says in a few words what a builder asks first of a room. */
function standingWords(room: RoomSnapshot, now: number, timeZone: string): string {
  const open = room.state.items.filter(({ closed }) => !closed).length;
  const { title, detail } = roomWords(room.standing.now, now, timeZone);
  const state = isHandedOver(room) ? 'handed over' : [title, detail].filter(Boolean).join(' ').toLowerCase();
  return open > 0 ? `${open} open, ${state}` : state;
}
