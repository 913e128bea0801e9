import type { Between, OpenItem } from '../log/stateOf';
import type { Coat } from '../method/coat';
import { DEFECTS } from '../method/defects';
import { scrapedFor } from '../readiness/scrapedFor';
import type { RoomSite } from '../readiness/siteOf';

/** What is to be done before some coats, and whether it was. */
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
  coats: readonly Pick<Coat, 'class' | 'key'>[],
): BeforeCoat {
  const scraped = coats.map((coat) => scrapedFor(state, coat));
  const classes = new Set(coats.map((coat) => coat.class));
  const classOf = new Map(pieces.map((piece) => [piece.id, piece.class]));
  const marks = state.items.filter(({ closed, defect, piece }) => {
    if (closed || defect === undefined || !DEFECTS[defect].dry || DEFECTS[defect].mend !== 'next') return false;
    const kind = piece === undefined ? undefined : classOf.get(piece);
    return kind === undefined || classes.has(kind);
  });
  return { done: scraped.every((one) => one !== undefined) ? scraped.at(-1) : undefined, marks };
}
