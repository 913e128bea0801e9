import type { Metadata } from 'next';
import { ASSUMED_AIR } from '@/core/air/air';
import { learnCrew } from '@/core/rates/learn';
import { evidenceIn } from '@/core/schedule/paceEvidence';
import { mayAct } from '@/server/mayAct';
import { keptMethods, visitHouse } from '@/server/visit';
import { GlyphParts } from '@/ui/section/GlyphParts';
import { sectionsOf } from '@/ui/section/sectionsOf';
import { CoatsView } from '@/views/coats/CoatsView';
import { coatsRooms } from '@/views/coats/coatsRooms';
import { singleJoints } from '@/views/coats/singleJoints';

export const metadata: Metadata = { title: 'Coats' };

export default async function CoatsPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const visit = await visitHouse(house);
  const { person, snapshot, version, roomVersions, inside = ASSUMED_AIR } = visit;
  const kept = await keptMethods(visit);
  const { unit, method, shrinkage, scraping } = snapshot.house;
  return (
    <>
      <GlyphParts sections={sectionsOf(snapshot)} />
      <CoatsView
        version={version}
        house={{ unit, method, ...(shrinkage && { shrinkage }), ...(scraping && { scraping }) }}
        rooms={coatsRooms(snapshot, roomVersions)}
        air={inside}
        // How fast people are is the lead's to know, also of all of them together.
        crew={mayAct(person, 'lead') ? learnCrew(evidenceIn(snapshot.rooms)) : {}}
        kept={kept}
        singles={singleJoints(snapshot.rooms)}
        mayEdit={mayAct(person, 'lead')}
      />
    </>
  );
}
