import { type WayOut, waysOut } from '@/core/estimate/waysOut';
import type { LengthUnit } from '@/core/measure/unit';
import type { Method } from '@/core/method/resolveMethod';
import type { KnifeFinding } from '@/core/section/knifeCheck';
import { roughLength } from '@/words/lengthWords';
import { mudVolumeWords } from '@/words/mudWords';
import { spanWords } from '@/words/when';

/** Compares floating a joint that stands too high with cutting it back, a backer and a new board. */
export function WaysOut({
  finding,
  length,
  now,
  method,
  unit,
}: {
  readonly finding: KnifeFinding;
  /** Of the joint, and how wide it is finished; mm. */
  readonly length: number;
  readonly now: number;
  readonly method: Method;
  readonly unit: LengthUnit;
}) {
  return (
    <table className="table table-sm">
      <caption className="text-left text-sm text-muted">For a joint of {roughLength(length, unit)}</caption>
      <tbody>
        {waysOut(finding, length, now, method).map(({ kind, hours, litres }) => (
          <tr key={kind}>
            <th scope="row" className="font-medium">
              {WAYS[kind]}
            </th>
            <td className="text-right whitespace-nowrap">{spanWords(hours)}</td>
            <td className="text-right whitespace-nowrap">{mudVolumeWords(litres, unit)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const WAYS: Readonly<Record<WayOut['kind'], string>> = {
  float: 'Float it on (will show)',
  cutBack: 'Cut back and tape again',
  backer: 'Put a backer in',
  newBoard: 'Change the board',
};
