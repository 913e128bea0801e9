import type { Metadata } from 'next';
import { shownHouse, shownHung } from '@/server/shownHouse';
import { HouseCover } from '@/views/handover/HouseCover';
import { RoomSheet } from '@/views/handover/RoomSheet';
import { HangersList } from '@/views/hanger/HangersList';

/** What it is about is nobody's business who only sees its address. */
export const metadata: Metadata = { title: 'Shown to you', robots: { index: false, follow: false } };

/**
 * What is shown to somebody who is not signed in, and nothing else: a hand-over with its cover and a sheet of each room, or the
 * list of the hanger.
 */
export default async function ShownPage({ params }: { readonly params: Promise<{ secret: string }> }) {
  const { secret } = await params;
  const shown = await shownHouse(secret);
  const { snapshot, what, people, now, timeZone } = shown;
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
  return (
    <main className="mx-auto w-full max-w-4xl flex-1 space-y-6 p-4">
      <HouseCover snapshot={snapshot} now={now} timeZone={timeZone} />
      {snapshot.rooms.map((room) => (
        <RoomSheet
          key={room.room.id}
          house={snapshot.house}
          room={room}
          people={people}
          photos={`/api/shown/${secret}`}
          now={now}
          timeZone={timeZone}
        />
      ))}
    </main>
  );
}
