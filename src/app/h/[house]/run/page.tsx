import type { Metadata } from 'next';
import { mayAct } from '@/server/mayAct';
import { visitHouse } from '@/server/visit';
import { RunSheetView } from '@/views/run/RunSheetView';

export const metadata: Metadata = { title: 'Run sheet' };

export default async function RunSheetPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const { person, site, people, now, timeZone } = await visitHouse(house);
  return <RunSheetView site={site} people={people} now={now} timeZone={timeZone} mayHand={mayAct(person, 'lead')} />;
}
