import type { Metadata } from 'next';
import { loadSite } from '@/server/loadSite';
import { LoadView } from '@/views/load/LoadView';

export const metadata: Metadata = { title: 'Load' };

export default async function LoadPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const { site } = await loadSite(house);
  return <LoadView load={site.load} tally={site.tally} unit={site.house.unit} />;
}
