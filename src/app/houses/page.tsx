import type { Metadata } from 'next';
import { crewBeside, visitHouses } from '@/server/visit';
import { Header } from '@/ui/shell/Header';
import { HousesView } from '@/views/houses/HousesView';

export const metadata: Metadata = { title: 'Houses' };

export default async function HousesPage() {
  const visit = await visitHouses();
  const { person, houses, now } = visit;
  const { people, sessions, secrets, viewers, locked, session } = await crewBeside(visit);
  return (
    <>
      <Header house={undefined} person={person} />
      <HousesView
        houses={houses.map((house) => ({
          ...house,
          viewers: viewers.filter((viewer) => viewer.house === house.id).map((viewer) => viewer.person),
        }))}
        people={people.filter(({ left }) => !left)}
        me={person.id}
        sessions={sessions.map((own) => ({ ...own, here: own.id === session }))}
        secrets={secrets}
        locked={locked}
        now={now}
        role={person.role}
      />
    </>
  );
}
