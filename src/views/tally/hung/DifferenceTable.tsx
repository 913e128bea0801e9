import type { HungDifference } from '@/core/estimate/hungDifference';
import type { LengthUnit } from '@/core/measure/unit';
import { roughLength } from '@/ui/lengthWords';
import { mudVolumeWords } from '@/ui/mudWords';
import { CLASS_NAMES } from '@/ui/state/words';
import { spanWords } from '@/ui/when';

/** What is to be finished more, or less, than planned. */
export function DifferenceTable({
  difference: { classes, litres, hours, nights },
  unit,
}: {
  readonly difference: HungDifference;
  readonly unit: LengthUnit;
}) {
  return (
    <section aria-label="Beside the plan" className="space-y-1">
      <h3 className="font-semibold">Beside the plan</h3>
      {classes.length === 0 && Math.abs(hours) < 0.01 ? (
        <p className="text-muted">The same joints.</p>
      ) : (
        <>
          <ul className="divide-y divide-base-300">
            {classes.map((own) => (
              <li key={own.class} className="flex justify-between gap-3 py-1">
                <span>{CLASS_NAMES[own.class]}</span>
                <span className="text-right">
                  {signed(own.length, (mm) => roughLength(mm, unit))}
                  {own.count === 0
                    ? ''
                    : `, ${signed(own.count, (count) => `${count} ${count === 1 ? 'joint' : 'joints'}`)}`}
                </span>
              </li>
            ))}
          </ul>
          <p className="font-semibold">
            {signed(litres, (volume) => `${mudVolumeWords(volume, unit)} of mud`)}, {signed(hours, spanWords)}
            {nights === 0 ? '' : `, ${signed(nights, (count) => `${count} ${count === 1 ? 'night' : 'nights'}`)}`}
          </p>
        </>
      )}
    </section>
  );
}

const signed = (by: number, words: (amount: number) => string): string => `${by < 0 ? '−' : '+'}${words(Math.abs(by))}`;
