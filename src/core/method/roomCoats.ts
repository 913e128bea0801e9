import type { House, Room } from '../house/schema';
import { JOINT_CLASSES } from '../joints/joint';
import type { Tally } from '../joints/tally';
import { COAT_KEYS, type Coat, type CoatedClass, type CoatKey } from './coat';
import { coatsFor, type Method } from './coatsFor';

/** The classes that a room has anything of, fasteners and the surface last. */
export function coatedClassesOf(tally: Tally): readonly CoatedClass[] {
  const joints = JOINT_CLASSES.filter((kind) => tally.classes[kind].length > 0);
  return [
    ...joints,
    ...(tally.fasteners > 0 ? (['fasteners'] as const) : []),
    ...(tally.boardArea > 0 ? (['surface'] as const) : []),
  ];
}

/** The room's level of finish, or the house's. */
export const methodOf = (house: Pick<House, 'method'>, room: Pick<Room, 'finish'>): Method => ({
  level: room.finish?.level ?? house.method.level,
});

/** Every coat that a room will get. */
export const roomCoats = (tally: Tally, method: Method): readonly Coat[] =>
  coatedClassesOf(tally).flatMap((kind) => coatsFor(kind, method));

/** The rounds that a room needs, in order. */
export const roundsOf = (coats: readonly Coat[]): readonly CoatKey[] =>
  COAT_KEYS.filter((round) => coats.some((coat) => coat.round === round));
