import type { Room } from './schema';

/** The same outline walked the other way, its first wall first. */
export function turnedOutline(outline: Room['outline']): Room['outline'] {
  const [first, second, ...rest] = outline;
  return first && second ? [second, first, ...rest.reverse()] : outline;
}
