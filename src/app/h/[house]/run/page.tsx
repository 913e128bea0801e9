import type { Metadata } from 'next';
import { loadSite } from '@/server/loadSite';
import { mayAct } from '@/server/mayAct';
import { requirePerson } from '@/server/session';
import { RunSheetView } from '@/views/run/RunSheetView';

export const metadata: Metadata = { title: 'Run sheet' };

export default async function RunSheetPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const person = await requirePerson();
  const { site, people, now, timeZone } = await loadSite(house);
  return (
    <RunSheetView
      houseId={house}
      site={site}
      people={people}
      now={now}
      timeZone={timeZone}
      mayHand={mayAct(person, 'lead')}
    />
  );
}
