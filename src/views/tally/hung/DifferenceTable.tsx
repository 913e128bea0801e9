import type { HungDifference } from '@/core/estimate/hungDifference';
import type { LengthUnit } from '@/core/measure/unit';
import { hungClassWords, hungSumWords } from '@/ui/hungWords';
import { CLASS_NAMES } from '@/ui/state/words';

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
  const differs = difference.classes.length > 0 || Math.abs(difference.litres) > LEAST_LITRES;
  return (
    <section aria-label="Beside the plan" className="space-y-1">
      <h3 className="font-semibold">Beside the plan</h3>
      {difference.classes.length === 0 ? (
        <p className="text-muted">The same joints.</p>
      ) : (
        <ul className="divide-y divide-base-300">
          {difference.classes.map((own) => (
            <li key={own.class} className="flex justify-between gap-3 py-1">
              <span>{CLASS_NAMES[own.class]}</span>
              <span className="text-right">{hungClassWords(own, unit)}</span>
            </li>
          ))}
        </ul>
      )}
      {differs && <p className="font-semibold">{hungSumWords(difference, unit)}</p>}
    </section>
  );
}
