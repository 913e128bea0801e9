import type { ReactNode } from 'react';
import { signOut } from '@/server/actions/people';
import { loadSite } from '@/server/loadSite';
import { requirePerson } from '@/server/session';
import { airWords } from '@/ui/airWords';
import { Header } from '@/ui/shell/Header';
import { JobLine } from '@/ui/shell/JobLine';
import { stationFacts } from '@/ui/shell/stationFacts';
import { instantWords } from '@/ui/when';

export default async function HouseLayout({
  children,
  params,
}: {
  readonly children: ReactNode;
  readonly params: Promise<{ house: string }>;
}) {
  const person = await requirePerson();
  const { house } = await params;
  const { site, reading, timeZone, now } = await loadSite(house);
  return (
    <div className="flex min-h-dvh flex-col">
      <Header
        house={{ id: house, name: site.house.name }}
        air={reading ? `Inside ${airWords(reading, site.house.unit)}` : 'Air not measured'}
        time={instantWords(now, timeZone)}
        person={person}
        signOut={signOut}
      />
      <JobLine house={house} facts={stationFacts(site, now, timeZone)} />
      {children}
    </div>
  );
}
