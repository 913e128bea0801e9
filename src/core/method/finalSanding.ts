import { isAngle } from '../joints/classTraits';
import { type FinishPart, OTHER_FACES } from '../joints/finishParts';
import { JOINT_CLASSES } from '../joints/joint';
import type { Tally } from '../joints/tally';
import type { Room } from '../room/schema';
import { COATED_CLASSES, type CoatedClass } from './coat';
import { coatsFor } from './coatsFor';
import type { Method } from './resolveMethod';
import { methodOn } from './roomCoats';

/** With what a class is sanded in the end: the pole does what lies open, a fine sponge what it does not reach into. */
export const sandedWith = (kind: CoatedClass): 'pole' | 'sponge' => (isAngle(kind) ? 'sponge' : 'pole');

/**
 * Returns how much of each class is sanded in the end: what gets a coat, but for joints that trim covers, and joints under a skim,
 * which are sanded with it. mm of joint, fasteners by count, mm² of surface.
 */
export function amountsToSand(
  tally: Tally,
  method: Method,
  finish: Room['finish'] | undefined,
): ReadonlyMap<CoatedClass, number> {
  const amounts = new Map<CoatedClass, number>();
  const parts = tally.parts ?? [
    {
      faces: [OTHER_FACES],
      classes: lengthsOf(tally),
      tapedOnly: tally.tapedOnly.length,
      fasteners: tally.fasteners,
      paintedArea: tally.paintedArea,
    },
  ];
  for (const part of parts) {
    const own = methodOn(part.faces, method, finish);
    // A joint between a face that is skimmed and one that is not has one side under the skim.
    const bare = part.faces.filter((face) => coatsFor('surface', methodOn([face], method, finish)).length === 0);
    const share = bare.length / part.faces.length;
    for (const kind of COATED_CLASSES) {
      const coats = coatsFor(kind, own);
      if (coats.length === 0 || coats.some(({ trimmed }) => trimmed)) continue;
      const amount = kind === 'surface' ? part.paintedArea : share * amountOfPart(part, kind);
      if (amount > 0) amounts.set(kind, (amounts.get(kind) ?? 0) + amount);
    }
  }
  return amounts;
}

const amountOfPart = (part: FinishPart, kind: Exclude<CoatedClass, 'surface'>): number =>
  kind === 'fasteners' ? part.fasteners : (part.classes[kind] ?? 0);

const lengthsOf = ({ classes }: Tally): FinishPart['classes'] =>
  Object.fromEntries(JOINT_CLASSES.map((kind) => [kind, classes[kind].length]));

/**
 * Classes in the order in which they are sanded: the angles with the sponge after everything else, or, as others hold, before
 * it, so that the pole takes the marks of the sponge's edge off.
 *
 * @example sandingOrder(['angle', 'flat'], usualMethod(4))  // ['flat', 'angle']
 */
export const sandingOrder = (kinds: readonly CoatedClass[], { all }: Pick<Method, 'all'>): readonly CoatedClass[] => {
  const sponged = kinds.filter((kind) => sandedWith(kind) === 'sponge');
  const poled = kinds.filter((kind) => sandedWith(kind) === 'pole');
  return all.sponge === 'first' ? [...sponged, ...poled] : [...poled, ...sponged];
};
