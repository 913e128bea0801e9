import type { Metadata } from 'next';
import type { Person } from '@/core/log/person';
import { mayAct } from '@/server/mayAct';
import { visitHouse } from '@/server/visit';
import { packed } from '@/ui/packed';
import { GlyphParts } from '@/ui/section/GlyphParts';
import { sectionsOf } from '@/ui/section/sectionsOf';
import { boardMethods, boardRows, recentEntries } from '@/views/board/boardRows';
import { CoatBoardView } from '@/views/board/CoatBoardView';

export const metadata: Metadata = { title: 'Coat board' };

/** Those who can have run a coat; who only looks is not told of them. */
const crewOf = (people: readonly Person[]) =>
  people.filter(({ role, left }) => role !== 'viewer' && !left).map(({ id, name }) => ({ id, name }));

export default async function CoatBoardPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const { person, site, log, people, now, timeZone } = await visitHouse(house);
  return (
    <>
      <GlyphParts sections={sectionsOf(site)} />
      <CoatBoardView
        rows={packed(boardRows(site, now, timeZone))}
        methods={boardMethods(site.rooms)}
        recent={recentEntries(log, site.rooms, people, person.id)}
        now={now}
        timeZone={timeZone}
        unit={site.house.unit}
        role={person.role}
        me={person.id}
        crew={mayAct(person, 'finisher') ? crewOf(people) : []}
      />
    </>
  );
}
