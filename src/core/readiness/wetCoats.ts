import type { AirFrom } from '../drying/dryAt';
import { drynessAt } from '../drying/dryAt';
import { dryingHours, USUAL_THICKNESS_MM } from '../drying/dryingHours';
import { type Coat, coatId } from '../method/coat';
import type { RoomSite } from './siteOf';

/** A coat that is drying, with its curve. */
export interface WetCoat {
  readonly coat: Coat;
  readonly since: number;
  readonly until: number;
  /** How far on its way to `until`, 0–1, at instants in ms since 1970. */
  readonly curve: readonly { readonly at: number; readonly dry: number }[];
}

const POINTS = 24;

/** The wet coats of a room with their drying curves from being put on until dry, slowest last. */
export function wetCoats({ standing, state }: RoomSite, history: readonly AirFrom[]): readonly WetCoat[] {
  const wet = standing.classes.flatMap(({ now }) => (now.kind === 'wet' ? [{ coat: now.coat, until: now.until }] : []));
  return wet
    .flatMap(({ coat, until }): readonly WetCoat[] => {
      const last = state.coats.get(coatId(coat))?.applications.at(-1);
      if (!last || !Number.isFinite(until)) return [];
      const since = Date.parse(last.at);
      const { thickness = USUAL_THICKNESS_MM } = last.payload;
      const dried = (at: number) => drynessAt(since, at, history, (air) => dryingHours(air, thickness));
      // What waits for less than being dry, as setting mud does between coats, goes by the part of that which is over.
      const whole = dried(until);
      const curve = Array.from({ length: POINTS + 1 }, (_, index) => {
        const at = since + ((until - since) * index) / POINTS;
        return { at, dry: dried(at) / whole };
      });
      return [{ coat, since, until, curve }];
    })
    .sort((a, b) => a.until - b.until);
}
