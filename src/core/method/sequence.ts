import { CLASS_TRAITS, isCrossed, type RunGroup } from '../joints/classTraits';
import { COAT_KEYS, type Coat, type CoatedClass, type CoatKey } from './coat';
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
 * Returns the order in which the kinds are run through a room in one round; two kinds where they meet wait for each other as
 * `waitsForFirm` says.
 *
 * @example sequenceOf('fill', usualMethod(4).all)  // ['butt', 'fasteners', 'flat', 'bead', 'angle', 'surface']
 */
export function sequenceOf(
  round: CoatKey,
  { order, beads }: Pick<ClassChoices, 'order' | 'beads'>,
): readonly RunGroup[] {
  if (round !== 'tape') return LATER[order];
  return beads === 'after' ? [...TAPE, 'bead'] : ['bead', ...TAPE];
}

/**
 * Returns the place of a class in its round.
 *
 * @example placeInSequence('butt', 'tape', choices) < placeInSequence('flat', 'tape', choices)
 */
export const placeInSequence = (
  kind: CoatedClass,
  round: CoatKey,
  choices: Pick<ClassChoices, 'order' | 'beads'>,
): number => sequenceOf(round, choices).indexOf(CLASS_TRAITS[kind].run);

/** More than a sequence is long. */
const ROUND = 100;

/** Returns the place of a coat among all coats of its room: round by round, and in each by its sequence. */
export const placeInRoom = (
  { class: kind, round }: Pick<Coat, 'class' | 'round'>,
  choices: Pick<ClassChoices, 'order' | 'beads'>,
): number => COAT_KEYS.indexOf(round) * ROUND + placeInSequence(kind, round, choices);

/**
 * Returns whether a kind that is run in a round waits until another one that it meets is firm. Nobody waits within the tape round,
 * nor where joints are crossed soft and the cut line is mended with the next coat. Common practice, no source.
 */
export const waitsForFirm = (
  one: RunGroup,
  other: RunGroup,
  round: CoatKey,
  { order }: Pick<ClassChoices, 'order'>,
): boolean => round !== 'tape' && order !== 'noWait' && isCrossed(one, other);
