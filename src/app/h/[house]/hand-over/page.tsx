import type { Metadata } from 'next';
import { visitHouse } from '@/server/visit';
import { HandOverView } from '@/views/handover/HandOverView';

export const metadata: Metadata = { title: 'Hand-over' };

export default async function HandOverPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const { site, now, timeZone } = await visitHouse(house);
  return <HandOverView houseId={house} site={site} now={now} timeZone={timeZone} />;
}
