import type { Metadata } from 'next';
import { mayAct } from '@/server/mayAct';
import { visitHouse } from '@/server/visit';
import { GlyphParts } from '@/ui/section/GlyphParts';
import { sectionsOf } from '@/ui/section/sectionsOf';
import { boardMethods, boardRows, crewOf, recentEntries } from '@/views/board/boardRows';
import { CoatBoardView } from '@/views/board/CoatBoardView';
import { sentRows } from '@/views/board/sentRows';

export const metadata: Metadata = { title: 'Coat board' };

export default async function CoatBoardPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const { person, snapshot, log, people, now, timeZone } = await visitHouse(house);
  // Who only looks is not told of them.
  const crew = mayAct(person, 'finisher') ? people : [];
  return (
    <>
      <GlyphParts sections={sectionsOf(snapshot)} />
      <CoatBoardView
        rows={sentRows(boardRows(snapshot, now, timeZone))}
        methods={boardMethods(snapshot.rooms)}
        recent={recentEntries(log, snapshot.rooms, crew, person.id)}
        now={now}
        timeZone={timeZone}
        unit={snapshot.house.unit}
        role={person.role}
        me={person.id}
        crew={crewOf(crew)}
      />
    </>
  );
}
