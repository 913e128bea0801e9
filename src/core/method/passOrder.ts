import { CLASS_TRAITS, type RunGroup } from '../joints/classTraits';
import type { CoatedClass, CoatKey } from './coat';
import type { ClassChoices } from './resolveMethod';

/** In the tape round: butts, flats, angles, screws; beads before them or after. Common practice, no source. */
const TAPE: readonly RunGroup[] = ['butt', 'flat', 'angle', 'fasteners'];

/** In later rounds, by school. Common practice, no source. */
const LATER: Readonly<Record<ClassChoices['order'], readonly RunGroup[]>> = {
  butts: ['butt', 'fasteners', 'flat', 'bead', 'angle', 'surface'],
  noWait: ['butt', 'fasteners', 'flat', 'bead', 'angle', 'surface'],
  boxes: ['flat', 'butt', 'bead', 'angle', 'fasteners', 'surface'],
  ceilingSides: ['angle', 'fasteners', 'flat', 'butt', 'bead', 'surface'],
};

/**
 * The order in which the classes are run through a room in one round.
 *
 * @returns a number to sort by
 * @example passOrder('butt', 'tape', choices) < passOrder('flat', 'tape', choices)
 */
export function passOrder(kind: CoatedClass, round: CoatKey, { order, beads }: ClassChoices): number {
  const tape: readonly RunGroup[] = beads === 'after' ? [...TAPE, 'bead'] : ['bead', ...TAPE];
  return (round === 'tape' ? tape : LATER[order]).indexOf(CLASS_TRAITS[kind].run);
}
