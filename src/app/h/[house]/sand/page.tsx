import type { Metadata } from 'next';
import { loadSite } from '@/server/loadSite';
import { requirePerson } from '@/server/session';
import { SandView } from '@/views/sand/SandView';

export const metadata: Metadata = { title: 'Sand & light' };

export default async function SandPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const person = await requirePerson();
  const { site, people, now, timeZone } = await loadSite(house);
  return <SandView houseId={house} site={site} people={people} now={now} timeZone={timeZone} role={person.role} />;
}
