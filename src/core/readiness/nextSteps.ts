import { CLASS_TRAITS } from '../joints/classTraits';
import type { Coat } from '../method/coat';
import type { Method } from '../method/resolveMethod';
import { placeInRoom } from '../method/sequence';
import type { ReadyCoat, RoomStanding } from './whatNow';

/** A coat that is run next in a room: now, or once the joint that it crosses is firm. */
export interface NextStep {
  readonly coat: Coat;
  /** Undefined while it waits for a soft joint. */
  readonly ready: ReadyCoat | undefined;
  /** The soft joint and when it is firm, ms since 1970. */
  readonly soft: { readonly coat: Coat; readonly until: number } | undefined;
}

/**
 * Returns the coats that are run next in a room, in the order of its sequence: round by round, kind by kind. My day, board, printed
 * sheets and bring list show this order; the plan follows it.
 *
 * @example nextSteps(standing, method).map(({ coat }) => coat.class)  // ['butt', 'fasteners', 'flat']
 */
export function nextSteps({ classes }: Pick<RoomStanding, 'classes'>, method: Method): readonly NextStep[] {
  const steps = classes.flatMap(({ now }): readonly NextStep[] => {
    if (now.kind === 'go') return now.ready.map((ready) => ({ coat: ready.coat, ready, soft: undefined }));
    if (now.kind !== 'wet' || !now.crossed || !now.next) return [];
    return [{ coat: now.next, ready: undefined, soft: { coat: now.coat, until: now.until } }];
  });
  return inSequence(steps, ({ coat }) => coat, method);
}

/** Sorts whatever belongs to coats by the round in which they are run and their place in its sequence. */
export function inSequence<One>(
  all: readonly One[],
  coatOf: (one: One) => Coat,
  { all: choices }: Method,
): readonly One[] {
  const place = (one: One) => placeInRoom(coatOf(one), choices);
  return all.toSorted((a, b) => place(a) - place(b));
}

/** Returns the groups of some coats, each once, in their order. */
export const groupsInOrder = (coats: readonly Pick<Coat, 'class'>[]) => [
  ...new Set(coats.map((coat) => CLASS_TRAITS[coat.class].run)),
];
