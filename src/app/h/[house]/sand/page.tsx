import type { Metadata } from 'next';
import { visitHouse } from '@/server/visit';
import { SandView } from '@/views/sand/SandView';

export const metadata: Metadata = { title: 'Sand & light' };

export default async function SandPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const { person, snapshot, people, now, timeZone } = await visitHouse(house);
  return (
    <SandView houseId={house} snapshot={snapshot} people={people} now={now} timeZone={timeZone} role={person.role} />
  );
}
