import type { CoatedClass } from './coat';
import { isAngle } from './coatKeysFor';
import type { Method } from './resolveMethod';

/** With what a class is sanded in the end: the pole does what lies open, a fine sponge what it does not reach into. */
export const sandedWith = (kind: CoatedClass): 'pole' | 'sponge' => (isAngle(kind) ? 'sponge' : 'pole');

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
