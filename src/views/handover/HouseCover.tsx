import type { Company } from '@/core/house/company';
import { handOverOf } from '@/core/inspect/handOver';
import type { HouseSnapshot } from '@/core/snapshot/houseSnapshot';
import { ShowThrough } from '@/ui/section/ShowThrough';
import { areaWords, roughLength } from '@/words/lengthWords';
import { CLASS_NAMES, isJoint } from '@/words/stateWords';
import { dateWords } from '@/words/when';
import { Letterhead } from './Letterhead';

/** The first sheet of a hand-over: the house, its rooms with their levels, and what the painters are to know. */
export function HouseCover({
  snapshot,
  company,
  now,
  timeZone,
}: {
  readonly snapshot: HouseSnapshot;
  readonly company: Company;
  readonly now: number;
  readonly timeZone: string;
}) {
  const { house, tally } = snapshot;
  const rooms = snapshot.rooms.map(handOverOf);
  const unsealed = rooms.filter(({ sealFirst }) => sealFirst);
  return (
    <article
      className="sheet print-page space-y-4 p-6 print:space-y-2 print:border-0 print:p-0"
      aria-label={`Cover of ${house.name}`}
    >
      <Letterhead company={company}>
        <p className="text-muted">Hand-over</p>
        <h1 className="text-3xl">{house.name}</h1>
        <p className="text-muted">
          {rooms.length} rooms, {areaWords(tally.boardArea, house.unit)} of board; as of {dateWords(now, timeZone)}
        </p>
      </Letterhead>
      <p>
        {Object.entries(tally.classes)
          .filter(([kind, { length }]) => isJoint(kind as keyof typeof tally.classes) && length > 0)
          .map(
            ([kind, { length }]) =>
              `${CLASS_NAMES[kind as keyof typeof tally.classes].toLowerCase()} ${roughLength(length, house.unit)}`,
          )
          .join(', ')}
        .
      </p>
      <div className="overflow-x-auto max-sm:hidden print:block">
        <table className="table table-sm">
          <thead>
            <tr>
              <th scope="col">Room</th>
              <th scope="col">Level agreed</th>
              <th scope="col">Level met</th>
              <th scope="col">Open</th>
              <th scope="col">Handed over</th>
            </tr>
          </thead>
          <tbody>
            {rooms.map((room) => (
              <tr key={room.id}>
                <th scope="row" className="font-semibold">
                  {room.name}
                </th>
                <td>{room.agreed}</td>
                <td>{room.met?.level ?? 'not yet'}</td>
                <td>{room.items.filter(({ closed }) => !closed).length || 'none'}</td>
                <td>
                  {room.handedOver && room.now.kind === 'done'
                    ? dateWords(Date.parse(room.handedOver.at), timeZone)
                    : 'not yet'}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {unsealed.length > 0 && <ShowThrough className="max-w-xl" />}
      {unsealed.length > 0 && (
        <p className="border-t border-base-300 pt-3 font-semibold">
          Seal first in {unsealed.map(({ name }) => name).join(', ')}: paper and mud take paint differently. Roll sealer
          over both, corner to corner, before paint or texture, or the joints will show in low light.
        </p>
      )}
    </article>
  );
}
