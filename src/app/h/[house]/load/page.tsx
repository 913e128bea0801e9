import type { Metadata } from 'next';
import { cutBead } from '@/core/materials/cut/cutBead';
import { visitHouse } from '@/server/visit';
import { LoadView } from '@/views/load/LoadView';

export const metadata: Metadata = { title: 'Load' };

export default async function LoadPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const { site } = await visitHouse(house);
  const { unit } = site.house;
  const names = new Map(site.rooms.map(({ room }) => [room.id, room.name]));
  const bead = site.rooms.flatMap(({ room, tally }) => tally.beadPieces.map((piece) => ({ ...piece, room: room.id })));
  return (
    <LoadView
      load={site.load}
      bead={cutBead(bead, unit)}
      nameOf={(room) => names.get(room) ?? 'a room'}
      tally={site.tally}
      unit={unit}
    />
  );
}
