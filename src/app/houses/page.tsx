import type { Metadata } from 'next';
import { mayAct } from '@/server/mayAct';
import { visitHouses } from '@/server/visit';
import { Header } from '@/ui/shell/Header';
import { HousesView } from '@/views/houses/HousesView';

export const metadata: Metadata = { title: 'Houses' };

export default async function HousesPage() {
  const { person, houses, people, sessions, session, now } = await visitHouses();
  return (
    <>
      <Header house={undefined} person={person} />
      <HousesView
        houses={houses}
        people={people.filter(({ left }) => !left)}
        me={person.id}
        sessions={sessions.map((own) => ({ ...own, here: own.id === session }))}
        now={now}
        mayEdit={mayAct(person, 'lead')}
      />
    </>
  );
}
