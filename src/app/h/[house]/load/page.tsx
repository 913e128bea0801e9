import type { Metadata } from 'next';
import { visitHouse } from '@/server/visit';
import { LoadView } from '@/views/load/LoadView';

export const metadata: Metadata = { title: 'Load' };

export default async function LoadPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const { site } = await visitHouse(house);
  return <LoadView load={site.load} tally={site.tally} unit={site.house.unit} />;
}
