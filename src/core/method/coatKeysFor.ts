import { isAccessory, isAngle } from '../joints/classTraits';
import type { Level } from '../room/level';
import type { CoatedClass, CoatKey } from './coat';
import type { ClassChoices } from './resolveMethod';

/**
 * The coats that a level of finish asks of a class. Beads and fasteners get their first thin fill in the tape round, so
 * their coats carry the names of the rounds too. Level 5 adds one skim over the whole surface.
 *
 * source: Gypsum Association GA-214; ASTM C840 (from memory)
 *
 * @example coatKeysFor('flat', 4)   // ['tape', 'fill', 'finish']
 * @example coatKeysFor('angle', 4)  // ['tape', 'fill']
 */
export function coatKeysFor(kind: CoatedClass, level: Level): readonly CoatKey[] {
  if (kind === 'surface') return level === 5 ? ['skim'] : [];
  const taped = level >= (isAccessory(kind) ? 2 : 1);
  const after = (['fill', 'finish'] as const).slice(0, coatsAfterTape(kind, level));
  return taped ? ['tape', ...after] : [];
}

/**
 * The coats that a class gets by choice. How many follow the tape is for a lead to say from level 3 on; what is covered
 * with trim is taped and caulked; a skim instead of sealer goes over everything that is finished to level 4.
 */
export function chosenCoatKeys(
  kind: CoatedClass,
  level: Level,
  { coats, hard, last }: Pick<ClassChoices, 'coats' | 'hard' | 'last'>,
): readonly CoatKey[] {
  const asked = coatKeysFor(kind, level);
  if (kind === 'surface') return level >= 4 && last === 'skim' ? ['skim'] : asked;
  if (hard === 'trim') return asked.slice(0, 1);
  if (coats === 'level' || level < 3) return asked;
  const count = Math.min(COUNTS[coats], isAngle(kind) ? MOST_ON_ANGLES : COUNTS.three);
  return ['tape', ...(['fill', 'finish', 'extra'] as const).slice(0, count)];
}

/** Angles get one coat after the tape or two, on each side. Common practice, no source. */
const MOST_ON_ANGLES = 2;
const COUNTS = { one: 1, two: 2, three: 3 } as const;

function coatsAfterTape(kind: CoatedClass, level: Level): number {
  if (level <= 2) return 0;
  if (level === 3) return 1;
  return isAngle(kind) ? 1 : 2;
}
