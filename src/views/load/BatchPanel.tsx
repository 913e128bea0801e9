import { mixOf } from '@/core/materials/batch';
import type { LengthUnit } from '@/core/measure/unit';
import type { RoundBatches } from '@/core/supply/batchesFor';
import { mudVolumeWords, quartsWords } from '@/words/mudWords';
import { PASS_NAMES } from '@/words/stateWords';
import { spanWords } from '@/words/when';

/** How setting mud is mixed, round after round through the rooms. */
export function BatchPanel({
  batches,
  nameOf,
  whenOf,
  bag,
  unit,
}: {
  readonly batches: readonly RoundBatches[];
  readonly nameOf: (room: string) => string;
  /** When it is mixed first and by whom, by the plan. */
  readonly whenOf: (batch: RoundBatches) => string | undefined;
  /** What a bag makes, litres, and the minutes on it; undefined where nobody says. */
  readonly bag: { readonly pack: number; readonly minutes: number | undefined };
  readonly unit: LengthUnit;
}) {
  if (batches.length === 0) return null;
  return (
    <section className="sheet p-4 sm:p-5" aria-label="Batches">
      <h2>Batches of setting mud</h2>
      <p className="mb-2 text-sm text-muted">
        No more at once than one person puts on within the label; the pan is cleaned between two.
      </p>
      {bag.minutes !== undefined && batches.some(({ label }) => label !== bag.minutes) && (
        <p className="mb-2 font-semibold text-warning">
          The bag that is bought says {bag.minutes} min; Coats reckon with another label.
        </p>
      )}
      <div className="overflow-x-auto">
        <table className="table table-sm">
          <thead>
            <tr>
              <th scope="col">Room</th>
              <th scope="col">Round</th>
              <th scope="col" className="text-right">
                Label
              </th>
              <th scope="col" className="text-right">
                In all
              </th>
              <th scope="col" className="text-right">
                Takes
              </th>
              <th scope="col">Mix</th>
              <th scope="col">First mixed</th>
            </tr>
          </thead>
          <tbody>
            {batches.map((batch) => {
              const { room, round, label, litres, hours, most, count } = batch;
              return (
                <tr key={`${room} ${round} ${label}`}>
                  <th scope="row" className="font-semibold">
                    {nameOf(room)}
                  </th>
                  <td>{PASS_NAMES[round]}</td>
                  <td className="text-right whitespace-nowrap">{label} min</td>
                  <td className="text-right whitespace-nowrap">{mudVolumeWords(litres, unit)}</td>
                  <td className="text-right whitespace-nowrap">{spanWords(hours)}</td>
                  <td>
                    {count === 1 ? 'once' : `${count} times`}, {mudVolumeWords(count === 1 ? litres : most, unit)}
                    <span className="block text-sm text-muted">
                      {mixWords(count === 1 ? litres : most, bag.pack, unit)}
                    </span>
                    {count > 1 && <span className="block text-sm text-warning">longer than the label lasts</span>}
                  </td>
                  <td>{whenOf(batch) ?? ''}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** 13 % of a bag, 0.7 qt of water. */
function mixWords(litres: number, bag: number, unit: LengthUnit): string {
  const { bags, water } = mixOf(litres, bag);
  const percent = Math.max(1, Math.round(bags * 100));
  return `${percent} % of a bag, ${quartsWords(water, unit)} of water`;
}
