import type { Level } from '../house/level';
import type { CoatedClass, CoatKey } from './coat';

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

/** Beads, trim and fasteners: coated, never taped. */
export const isAccessory = (kind: CoatedClass): boolean => kind === 'bead' || kind === 'trim' || kind === 'fasteners';

/** Inside angles: their coats are put on and dry one side at a time. */
export const isAngle = (kind: CoatedClass): boolean => kind === 'angle' || kind === 'offAngle';

function coatsAfterTape(kind: CoatedClass, level: Level): number {
  if (level <= 2) return 0;
  if (level === 3) return 1;
  return isAngle(kind) ? 1 : 2;
}
