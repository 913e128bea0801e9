import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { publicAddress } from '@/server/publicAddress';
import { visitHouse } from '@/server/visit';
import { DoorTagsView } from '@/views/dry/DoorTagsView';
import { stripRoom } from '@/views/dry/dryRooms';

export const metadata: Metadata = { title: 'Door tags' };

export default async function DoorTagsPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const [{ snapshot, now, timeZone }, sent] = await Promise.all([visitHouse(house), headers()]);
  return (
    <DoorTagsView
      houseId={house}
      houseName={snapshot.house.name}
      rooms={snapshot.rooms.map((room) => stripRoom(room, now))}
      address={publicAddress(sent)}
      timeZone={timeZone}
    />
  );
}
