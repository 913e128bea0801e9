import type { HouseToday } from '@/core/schedule/assignedDays';
import { PageLink } from '@/ui/PageLink';
import { passWords } from '@/words/stateWords';
import { leftWords } from '@/words/when';

/** Lists a person's open jobs in another house, with a link to My day there. */
export function ElsewhereToday({ house }: { readonly house: HouseToday }) {
  return (
    <section className="sheet space-y-3 p-5" aria-label={`Today in ${house.name}`}>
      <h2 className="text-2xl">{house.name}</h2>
      <ul className="space-y-1">
        {house.passes.map((handed) => {
          const words = `${handed.room.room.name}, ${passWords(handed.task.pass, handed.block)}${leftWords(handed)}`;
          return <li key={`${handed.room.room.id} ${words}`}>{words}</li>;
        })}
      </ul>
      <PageLink href={`/h/${house.id}/my-day`} className="btn btn-xl h-auto w-full py-4 text-lg">
        Open {house.name}
      </PageLink>
    </section>
  );
}
