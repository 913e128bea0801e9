import type { LengthUnit } from '@/core/measure/unit';
import { PageLink } from '@/ui/PageLink';
import { ItemList } from '@/ui/problem/ItemList';
import { AcceptRoom } from './AcceptRoom';
import type { AcceptRow } from './acceptRows';

/** The rooms whose hanging is looked at before they are taped; those that are accepted are folded away. */
export function BeforeTape({
  houseId,
  rows,
  unit,
  now,
  leads,
  works,
}: {
  readonly houseId: string;
  readonly rows: readonly AcceptRow[];
  readonly unit: LengthUnit;
  readonly now: number;
  readonly leads: boolean;
  readonly works: boolean;
}) {
  if (rows.length === 0) return null;
  return (
    <section className="space-y-4" aria-label="Before tape">
      <header className="flex flex-wrap items-center justify-between gap-3">
        <h2>Before tape</h2>
        <PageLink href={`/h/${houseId}/hanger`} className="btn btn-lg">
          The hanger’s list
        </PageLink>
      </header>
      {rows.map((row) => {
        const card = (
          <>
            <AcceptRoom row={row} now={now} leads={leads} works={works} />
            <ItemList
              house={houseId}
              room={row.room}
              pieces={row.pieces}
              items={row.items}
              unit={unit}
              now={now}
              works={works}
            />
          </>
        );
        return (
          <section key={row.id} className="sheet space-y-2 p-4" aria-label={`Hanging of ${row.name}`}>
            {isAccepted(row) ? (
              <details>
                <summary className="cursor-pointer py-2">
                  <b>{row.name}</b>: accepted
                </summary>
                {card}
              </details>
            ) : (
              <>
                <h3 className="text-xl font-bold">{row.name}</h3>
                {card}
              </>
            )}
          </section>
        );
      })}
    </section>
  );
}

const isAccepted = ({ faces, items }: AcceptRow): boolean =>
  items.length === 0 && faces.every(({ found }) => found === 'good');
