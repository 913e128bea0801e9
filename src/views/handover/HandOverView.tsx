import type { Company } from '@/core/house/company';
import type { HouseSnapshot } from '@/core/snapshot/houseSnapshot';
import { CompanyForm } from './CompanyForm';
import { handOverRows } from './handOverRows';
import { ReworkPanel } from './ReworkPanel';
import { RoomsToHandOver } from './RoomsToHandOver';
import { ShowLinks } from './ShowLinks';

/** Every room on its way to the painters, with the page that is handed over. */
export function HandOverView({
  houseId,
  snapshot,
  now,
  timeZone,
  leads,
  people,
  company,
  shown,
}: {
  readonly houseId: string;
  readonly snapshot: HouseSnapshot;
  readonly now: number;
  readonly timeZone: string;
  readonly leads: boolean;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly company: Company;
  /** The addresses under which it is shown. */
  readonly shown: readonly { readonly id: string; readonly words: string }[];
}) {
  return (
    <main className="flex-1 space-y-4 p-4 lg:px-5">
      <section className="sheet p-4 sm:p-5">
        <h1>Hand-over</h1>
        <p className="mb-2 text-muted">
          One sheet per room: the level met, who put on which coat and when, and what is still open.
        </p>
        <RoomsToHandOver rows={handOverRows(snapshot, now, timeZone)} leads={leads} now={now} />
      </section>
      {leads && <CompanyForm company={company} />}
      {leads && <ShowLinks house={houseId} what="handOver" shown={shown} />}
      {leads && (
        <ReworkPanel
          rooms={snapshot.rooms}
          nameOf={(id) => people.find((person) => person.id === id)?.name ?? 'somebody'}
        />
      )}
    </main>
  );
}
