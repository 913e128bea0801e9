/**
 * The walls whose sides of the angles are run first, so that in a corner one side stays dry: every other one, opposite walls
 * of a plain room. With an odd number of walls the last two wait together.
 *
 * @returns numbers of walls, from 0
 * @example firstWalls(4)  // [0, 2]
 */
export const firstWalls = (count: number): readonly number[] =>
  Array.from({ length: Math.floor(count / 2) }, (_, index) => 2 * index);
