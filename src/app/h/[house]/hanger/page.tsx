import type { Metadata } from 'next';
import { mayAct } from '@/server/mayAct';
import { hungIn, shownIn, visitHouse } from '@/server/visit';
import { PrintButton } from '@/ui/PrintButton';
import { ShowLinks } from '@/views/handover/ShowLinks';
import { HangersList } from '@/views/hanger/HangersList';
import { shownWords } from '@/words/when';

export const metadata: Metadata = { title: 'The hanger’s list' };

/** What the hanger has to mend: to be printed, or shown under an address of its own. */
export default async function HangerPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const visit = await visitHouse(house);
  const { snapshot, now, timeZone, person } = visit;
  const [shown, otherwise] = await Promise.all([shownIn(visit, 'hanger'), hungIn(visit)]);
  return (
    <main className="mx-auto w-full max-w-4xl flex-1 space-y-4 p-4">
      <div className="no-print flex justify-end">
        <PrintButton />
      </div>
      <HangersList
        snapshot={snapshot}
        otherwise={otherwise}
        photos={`/api/photos/${house}`}
        now={now}
        timeZone={timeZone}
      />
      {mayAct(person, 'lead') && (
        <ShowLinks house={house} what="hanger" shown={shown.map((mark) => shownWords(mark, timeZone))} />
      )}
    </main>
  );
}
