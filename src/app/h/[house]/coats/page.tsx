import type { Metadata } from 'next';
import { priceOfLevel } from '@/core/estimate/priceOfLevel';
import { LEVELS } from '@/core/house/level';
import { mayAct } from '@/server/action';
import { saveLevel } from '@/server/actions/houses';
import { saveRoom } from '@/server/actions/rooms';
import { loadSite } from '@/server/loadSite';
import { requirePerson } from '@/server/session';
import { CoatsView } from '@/views/coats/CoatsView';

export const metadata: Metadata = { title: 'Coats' };

export default async function CoatsPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const person = await requirePerson();
  const { site, version, roomVersions } = await loadSite(house);
  return (
    <CoatsView
      houseId={house}
      version={version}
      site={site}
      roomVersions={roomVersions}
      prices={LEVELS.map((level) => priceOfLevel(level, site.rooms))}
      mayEdit={mayAct(person, 'lead')}
      saveLevel={saveLevel}
      saveRoom={saveRoom}
    />
  );
}
