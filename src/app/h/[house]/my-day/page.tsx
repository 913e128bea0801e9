import type { Metadata } from 'next';
import { batchesOf, MIXED } from '@/core/log/batch';
import { mayAct } from '@/server/mayAct';
import { hasOwnCalendar, visitHouse, visitOwnDay } from '@/server/visit';
import { GlyphParts } from '@/ui/section/GlyphParts';
import { sectionsOf } from '@/ui/section/sectionsOf';
import { crewOf } from '@/views/board/boardRows';
import { lastDone } from '@/views/myday/lastDone';
import { MyDayView } from '@/views/myday/MyDayView';

export const metadata: Metadata = { title: 'My day' };

export default async function MyDayPage({
  params,
  searchParams,
}: {
  readonly params: Promise<{ house: string }>;
  readonly searchParams: Promise<{ readonly first?: string | string[] }>;
}) {
  const [{ house }, { first }] = await Promise.all([params, searchParams]);
  const visit = await visitHouse(house);
  const { person, people, snapshot, log, now, timeZone } = visit;
  const elsewhere = await visitOwnDay(visit.id);
  return (
    <>
      <GlyphParts sections={sectionsOf(snapshot)} />
      <MyDayView
        houseId={house}
        snapshot={snapshot}
        person={person}
        now={now}
        timeZone={timeZone}
        elsewhere={elsewhere}
        first={typeof first === 'string' ? first : undefined}
        works={mayAct(person, 'finisher')}
        hasCalendar={await hasOwnCalendar(visit)}
        last={lastDone(log, snapshot.rooms, person.id, now)}
        crew={crewOf(people)}
        seen={log.seq}
        batches={batchesOf(log.last(MIXED, 20), person.id, now)}
      />
    </>
  );
}
