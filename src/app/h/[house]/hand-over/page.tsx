import type { Metadata } from 'next';
import { mayAct } from '@/server/mayAct';
import { companyOf, shownIn, visitHouse } from '@/server/visit';
import { HandOverView } from '@/views/handover/HandOverView';
import { shownWords } from '@/words/when';

export const metadata: Metadata = { title: 'Hand-over' };

export default async function HandOverPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const visit = await visitHouse(house);
  const { snapshot, now, timeZone, person, people } = visit;
  const [shown, company] = await Promise.all([shownIn(visit, 'handOver'), companyOf(visit)]);
  return (
    <HandOverView
      houseId={house}
      snapshot={snapshot}
      now={now}
      timeZone={timeZone}
      leads={mayAct(person, 'lead')}
      people={people}
      company={company}
      shown={shown.map((mark) => shownWords(mark, timeZone))}
    />
  );
}
