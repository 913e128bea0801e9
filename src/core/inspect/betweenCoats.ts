import type { Between, OpenItem } from '../log/stateOf';
import type { CoatedClass } from '../method/coat';
import { DEFECTS } from '../method/defects';
import type { RoomSite } from '../readiness/siteOf';

/** What is to be done before the next coat of some classes, and whether it was. */
export interface BeforeCoat {
  /** Who did it last, after the coats that are on; undefined while nobody did. */
  readonly done: Between | undefined;
  /** What would show through: burrs, lap marks and heavy bottoms that nobody scraped. */
  readonly marks: readonly OpenItem[];
}

/**
 * Whether what is under the next coat of some classes was scraped or sanded since it went on, and what is known to be wrong with it
 * that is taken off before it is covered.
 */
export function beforeCoat(
  { state, pieces }: Pick<RoomSite, 'state' | 'pieces'>,
  classes: readonly CoatedClass[],
): BeforeCoat {
  const last = state.applied.findLastIndex(({ payload }) => classes.includes(payload.class));
  const done = state.betweens.findLast(
    ({ after, classes: own }) => after > last && (own === undefined || classes.every((kind) => own.includes(kind))),
  );
  const classOf = new Map(pieces.map((piece) => [piece.id, piece.class]));
  const marks = state.items.filter(({ closed, defect, piece }) => {
    if (closed || defect === undefined || !DEFECTS[defect].dry || DEFECTS[defect].mend !== 'next') return false;
    const kind = piece === undefined ? undefined : classOf.get(piece);
    return kind === undefined || classes.includes(kind);
  });
  return { done, marks };
}
