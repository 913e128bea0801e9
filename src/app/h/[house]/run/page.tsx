import type { Metadata } from 'next';
import { mayAct } from '@/server/mayAct';
import { visitHouse } from '@/server/visit';
import { GlyphParts } from '@/ui/section/GlyphParts';
import { sectionsOf } from '@/ui/section/sectionsOf';
import { RunSheetView } from '@/views/run/RunSheetView';

export const metadata: Metadata = { title: 'Run sheet' };

export default async function RunSheetPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const { person, snapshot, people, now, timeZone, mark } = await visitHouse(house);
  return (
    <>
      <GlyphParts sections={sectionsOf(snapshot)} />
      <RunSheetView
        snapshot={snapshot}
        version={`${mark.seq} ${mark.rooms} ${mark.air}`}
        people={people}
        now={now}
        timeZone={timeZone}
        plans={mayAct(person, 'finisher')}
        mayHand={mayAct(person, 'lead')}
      />
    </>
  );
}
