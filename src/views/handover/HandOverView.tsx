import { handOverOf } from '@/core/inspect/handOver';
import type { HouseSnapshot } from '@/core/snapshot/houseSnapshot';
import { PageLink } from '@/ui/PageLink';
import { StateMark } from '@/ui/state/StateMark';
import { roomWords } from '@/words/stateWords';
import { instantWords } from '@/words/when';
import { ReworkPanel } from './ReworkPanel';
import { ShowLinks } from './ShowLinks';

/** Every room on its way to the painters, with the page that is handed over. */
export function HandOverView({
  houseId,
  snapshot,
  now,
  timeZone,
  leads,
  people,
  shown,
}: {
  readonly houseId: string;
  readonly snapshot: HouseSnapshot;
  readonly now: number;
  readonly timeZone: string;
  readonly leads: boolean;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  /** The addresses under which it is shown. */
  readonly shown: readonly { readonly id: string; readonly words: string }[];
}) {
  return (
    <main className="flex-1 space-y-4 p-4 lg:px-5">
      <section className="sheet overflow-x-auto p-4 sm:p-5">
        <h1>Hand-over</h1>
        <p className="mb-2 text-muted">
          One page per room: the level met, who ran which coat and when, and what is still open.
        </p>
        {snapshot.rooms.length === 0 && <p>No rooms yet.</p>}
        <table className="table">
          <thead>
            <tr>
              <th scope="col">Room</th>
              <th scope="col">Level</th>
              <th scope="col">State</th>
              <th scope="col">Open items</th>
              <th scope="col">Checked</th>
              <th scope="col">
                <span className="sr-only">Page</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {snapshot.rooms.map(handOverOf).map((room) => (
              <tr key={room.id}>
                <th scope="row" className="font-semibold">
                  {room.name}
                </th>
                <td>{room.agreed}</td>
                <td>
                  <StateMark words={roomWords(room.now, now, timeZone)} />
                </td>
                <td>{room.items.filter(({ closed }) => !closed).length || 'none'}</td>
                <td>{room.met ? instantWords(Date.parse(room.met.at), timeZone) : 'not yet'}</td>
                <td className="text-right">
                  <PageLink
                    className="btn btn-sm"
                    href={`/h/${houseId}/hand-over/${room.id}`}
                    aria-label={`Page of ${room.name}`}
                  >
                    Page
                  </PageLink>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
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
