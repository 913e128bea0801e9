import type { Metadata } from 'next';
import { shownHouse } from '@/server/shownHouse';
import { HouseCover } from '@/views/handover/HouseCover';
import { RoomSheet } from '@/views/handover/RoomSheet';

export const metadata: Metadata = { title: 'Hand-over', robots: { index: false, follow: false } };

/** A hand-over for somebody who is not signed in: its cover and a sheet of each room, and nothing else. */
export default async function ShownPage({ params }: { readonly params: Promise<{ secret: string }> }) {
  const { secret } = await params;
  const { site, people, now, timeZone } = await shownHouse(secret);
  return (
    <main className="mx-auto w-full max-w-4xl flex-1 space-y-6 p-4">
      <HouseCover site={site} now={now} timeZone={timeZone} />
      {site.rooms.map((room) => (
        <RoomSheet
          key={room.room.id}
          house={site.house}
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
