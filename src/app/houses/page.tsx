import type { Metadata } from 'next';
import { mayAct } from '@/server/mayAct';
import { visitHouses } from '@/server/visit';
import { Header } from '@/ui/shell/Header';
import { HousesView } from '@/views/houses/HousesView';

export const metadata: Metadata = { title: 'Houses' };

export default async function HousesPage() {
  const { person, houses, people } = await visitHouses();
  return (
    <>
      <Header house={undefined} person={person} />
      <HousesView houses={houses} people={people} mayEdit={mayAct(person, 'lead')} />
    </>
  );
}
