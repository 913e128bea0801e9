import type { LengthUnit } from '../core/measure/unit';
import type { CoatedClass } from '../core/method/coat';
import { sandedWith } from '../core/method/finalSanding';

/** The grit of the last sanding. Common practice, no source. */
export const FINAL_GRIT = '150';

/** How a class is sanded in the end. Common practice, no source. */
export function sandWords(kind: CoatedClass, unit: LengthUnit): string {
  if (sandedWith(kind) === 'sponge') return 'a fine sponge, into the corner where the pole does not reach';
  if (kind === 'fasteners') return `the pole, ${FINAL_GRIT} foam-backed, in passing`;
  if (kind === 'surface') return `the pole, ${FINAL_GRIT} foam-backed, lightly`;
  return `the pole, ${FINAL_GRIT} foam-backed, along it or 10 to 20° off; ${unit === 'in' ? '1/2 to 1 in' : '12 to 25 mm'} off a corner`;
}
