import type { Metadata } from 'next';
import { ASSUMED_AIR } from '@/core/drying/air';
import { facesOf } from '@/core/house/faces/facesOf';
import { listMethods } from '@/db/methods';
import { loadSite } from '@/server/loadSite';
import { mayAct } from '@/server/mayAct';
import { requirePerson } from '@/server/session';
import { GlyphParts } from '@/ui/section/GlyphParts';
import { sectionsOf } from '@/ui/section/sectionsOf';
import { CoatsView } from '@/views/coats/CoatsView';

export const metadata: Metadata = { title: 'Coats' };

export default async function CoatsPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const person = await requirePerson();
  const [{ site, version, roomVersions, inside = ASSUMED_AIR }, kept] = await Promise.all([
    loadSite(house),
    listMethods(),
  ]);
  const { unit, method } = site.house;
  return (
    <>
      <GlyphParts sections={sectionsOf(site)} />
      <CoatsView
        houseId={house}
        version={version}
        house={{ unit, method }}
        rooms={site.rooms.map(({ room, tally }) => ({
          room,
          tally,
          version: roomVersions[room.id] ?? 1,
          faces: facesOf(room, unit)
            .filter(({ kind }) => kind === 'wall' || kind === 'ceiling' || kind === 'soffit')
            .map(({ id }) => id),
        }))}
        air={inside}
        kept={kept}
        mayEdit={mayAct(person, 'lead')}
      />
    </>
  );
}
