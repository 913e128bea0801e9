import type { Metadata } from 'next';
import { listHouses } from '@/db/houses';
import { listPeople } from '@/db/people';
import { mayAct } from '@/server/mayAct';
import { requirePerson } from '@/server/session';
import { Header } from '@/ui/shell/Header';
import { HousesView } from '@/views/houses/HousesView';

export const metadata: Metadata = { title: 'Houses' };

export default async function HousesPage() {
  const person = await requirePerson();
  const [houses, people] = await Promise.all([listHouses(), listPeople()]);
  return (
    <>
      <Header house={undefined} person={person} />
      <HousesView houses={houses} people={people} mayEdit={mayAct(person, 'lead')} />
    </>
  );
}
