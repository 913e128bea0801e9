import type { Between, OpenItem } from '../log/roomState';
import type { Coat } from '../method/coat';
import { DEFECTS } from '../method/defects';
import { classesOf } from '../readiness/mending';
import { scrapedFor } from '../readiness/scrapedFor';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';

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
  { state, pieces }: Pick<RoomSnapshot, 'state' | 'pieces'>,
  coats: readonly Pick<Coat, 'class' | 'key'>[],
): BeforeCoat {
  const scraped = coats.map((coat) => scrapedFor(state, coat));
  const classes = new Set(coats.map((coat) => coat.class));
  const classOf = classesOf({ pieces });
  const marks = state.items.filter((item) => {
    const kind = classOf(item);
    return waitsAs(item) === 'dry' && (kind === undefined || classes.has(kind));
  });
  return { done: scraped.every((one) => one !== undefined) ? scraped.at(-1) : undefined, marks };
}

/** What is wrong with a class and is mended by its next coat: widened, filled in the middle, gone over once more. */
export function takenAlong(
  { state, pieces }: Pick<RoomSnapshot, 'state' | 'pieces'>,
  kind: Coat['class'],
): readonly OpenItem[] {
  const classOf = classesOf({ pieces });
  return state.items.filter((item) => waitsAs(item) === 'mud' && classOf(item) === kind);
}

/** How something waits for the next coat, where it does: to be taken off before it, or to be mended with its mud. */
function waitsAs({ closed, defect }: OpenItem): 'dry' | 'mud' | undefined {
  if (closed || defect === undefined || DEFECTS[defect].mend !== 'next') return undefined;
  return DEFECTS[defect].dry ? 'dry' : 'mud';
}
