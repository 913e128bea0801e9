import type { Metadata } from 'next';
import { loadSite } from '@/server/loadSite';
import { HandOverView } from '@/views/handover/HandOverView';

export const metadata: Metadata = { title: 'Hand-over' };

export default async function HandOverPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const { site, now, timeZone } = await loadSite(house);
  return <HandOverView houseId={house} site={site} now={now} timeZone={timeZone} />;
}
