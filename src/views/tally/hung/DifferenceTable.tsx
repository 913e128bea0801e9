import type { HungDifference } from '@/core/estimate/hungDifference';
import type { LengthUnit } from '@/core/measure/unit';
import { hungRows, hungSumWords } from '@/words/hungWords';

const LEAST_LITRES = 0.005;

/** What is to be finished more, or less, than planned. */
export function DifferenceTable({
  difference,
  unit,
}: {
  readonly difference: HungDifference;
  readonly unit: LengthUnit;
}) {
  // A bevelled butt is one as before, and takes less mud.
  const rows = hungRows(difference, unit);
  const differs = rows.length > 0 || Math.abs(difference.litres) > LEAST_LITRES;
  return (
    <section aria-label="Beside the plan" className="space-y-1">
      <h3 className="font-semibold">Beside the plan</h3>
      {rows.length === 0 ? (
        <p className="text-muted">The same joints.</p>
      ) : (
        <ul className="divide-y divide-base-300">
          {rows.map(({ name, words }) => (
            <li key={name} className="flex justify-between gap-3 py-1">
              <span>{name}</span>
              <span className="text-right">{words}</span>
            </li>
          ))}
        </ul>
      )}
      {differs && <p className="font-semibold">{hungSumWords(difference, unit)}</p>}
    </section>
  );
}
