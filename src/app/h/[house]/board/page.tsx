import type { Metadata } from 'next';
import { loadSite } from '@/server/loadSite';
import { requirePerson } from '@/server/session';
import { GlyphParts } from '@/ui/section/GlyphParts';
import { sectionsOf } from '@/ui/section/sectionsOf';
import { boardMethods, boardRows, recentEntries } from '@/views/board/boardRows';
import { CoatBoardView } from '@/views/board/CoatBoardView';

export const metadata: Metadata = { title: 'Coat board' };

export default async function CoatBoardPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const person = await requirePerson();
  const { site, entries, people, now, timeZone } = await loadSite(house);
  return (
    <>
      <GlyphParts sections={sectionsOf(site)} />
      <CoatBoardView
        houseId={house}
        rows={boardRows(site.rooms, now, timeZone)}
        methods={boardMethods(site.rooms)}
        recent={recentEntries(entries, site.rooms, people, person.id)}
        now={now}
        timeZone={timeZone}
        unit={site.house.unit}
        role={person.role}
      />
    </>
  );
}
