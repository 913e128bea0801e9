import type { AirFileLook } from '@/core/air/airFile/lookAtFile';
import type { AirFileDoubt } from '@/core/air/airFile/readAirFile';
import type { LengthUnit } from '@/core/measure/unit';
import { airWords } from '@/words/airWords';
import { instantWords } from '@/words/when';

const DOUBTS: Readonly<Record<AirFileDoubt, string>> = {
  looksLikeFahrenheit: 'These temperatures look like °F, not °C.',
  looksLikeCelsius: 'These temperatures look like °C, not °F.',
  partsOfOne: 'The humidity is written as a part of one; it is taken as a hundred times that.',
};

/** What would be taken from a file, and what not. */
export function AirFilePreview({
  name,
  look,
  unit,
  timeZone,
  mend,
}: {
  readonly name: string;
  readonly look: AirFileLook;
  readonly unit: LengthUnit;
  readonly timeZone: string;
  readonly mend: (doubt: AirFileDoubt) => void;
}) {
  const { readings, refused, repeated, doubts, first, firstRefused, from, to } = look;
  return (
    <section className="space-y-3 rounded-xl border border-base-300 p-3" aria-label={`What ${name} says`}>
      <p className="font-semibold">
        {readings.toLocaleString('en-US')} readings
        {from !== undefined && to !== undefined && `, ${instantWords(from, timeZone)} to ${instantWords(to, timeZone)}`}
        {repeated > 0 && `; ${repeated} said twice`}
      </p>
      {doubts.map((doubt) => (
        <p key={doubt} className="state font-medium">
          <span aria-hidden="true" className="shape-stuck" />
          <span>
            {DOUBTS[doubt]}{' '}
            {doubt !== 'partsOfOne' && (
              <button type="button" className="btn btn-sm" onClick={() => mend(doubt)}>
                Read them so
              </button>
            )}
          </span>
        </p>
      ))}
      {first.length > 0 && (
        <table className="table table-sm">
          <thead>
            <tr>
              <th scope="col">First readings</th>
              <th scope="col" className="text-right">
                Air
              </th>
            </tr>
          </thead>
          <tbody>
            {first.map((reading) => (
              <tr key={reading.at}>
                <td>{instantWords(reading.at, timeZone)}</td>
                <td className="text-right">{airWords(reading, unit)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {refused > 0 && (
        <div>
          <p className="font-semibold text-error">{refused.toLocaleString('en-US')} lines are left out</p>
          <ul className="text-sm">
            {firstRefused.map(({ line, reason }) => (
              <li key={line}>
                line {line}: {reason}
              </li>
            ))}
            {refused > firstRefused.length && <li>and {refused - firstRefused.length} more</li>}
          </ul>
        </div>
      )}
    </section>
  );
}
