import type { Metadata } from 'next';
import { loadSite } from '@/server/loadSite';
import { mayAct } from '@/server/mayAct';
import { requirePerson } from '@/server/session';
import { GlyphParts } from '@/ui/section/GlyphParts';
import { sectionsOf } from '@/ui/section/sectionsOf';
import { MyDayView } from '@/views/myday/MyDayView';

export const metadata: Metadata = { title: 'My day' };

export default async function MyDayPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const person = await requirePerson();
  const { site, now, timeZone } = await loadSite(house);
  return (
    <>
      <GlyphParts sections={sectionsOf(site)} />
      <MyDayView
        houseId={house}
        site={site}
        person={person}
        now={now}
        timeZone={timeZone}
        works={mayAct(person, 'finisher')}
      />
    </>
  );
}
