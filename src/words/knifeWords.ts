import type { LengthUnit } from '../core/measure/unit';
import type { CoatedClass } from '../core/method/coat';
import type { KnifeFinding } from '../core/section/knifeCheck';
import { smallWords } from './lengthWords';
import { perLengthWords, widthWords } from './sectionWords';

/** What a knife found, in two words. */
export function findingTitle({ kind, height }: KnifeFinding, unit: LengthUnit): string {
  if (kind === 'flat') return 'Flat.';
  return kind === 'hump' ? `A hump of ${smallWords(height, unit)}.` : `A hollow of ${smallWords(height, unit)}.`;
}

/** What to do about what a knife found. */
export function findingWords(finding: KnifeFinding, kind: CoatedClass, unit: LengthUnit): string {
  if (finding.kind === 'flat') return 'Nothing to do. Pinholes would still mean a hollow.';
  if (finding.cutBack)
    return `It would take ${widthWords(finding.width, unit)}, too wide to float. Cut it back and tape it again, put a backer in, or change the board.`;
  const mud = `${perLengthWords(finding.extraMud, kind, unit)} more mud`;
  if (finding.kind === 'hollow')
    return `${finding.extraCoat ? 'One more coat in the middle' : 'The next coat takes it'}; ${mud}.`;
  return finding.extraCoat
    ? `Widen, do not heighten: ${widthWords(finding.width, unit)} over all, one more coat, ${mud}.`
    : 'Wide enough as it is.';
}
