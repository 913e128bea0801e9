import type { Entry } from '../log/entry';
import type { Wares } from '../materials/catalogue';
import { GOODS, type Good } from '../materials/goods';
import { sealedArea } from '../materials/loadList';
import { groupBy } from '../measure/groupBy';
import type { CoatedClass } from '../method/coat';
import { coatNamed } from '../method/coatNamed';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { amountCovered, putOnBy } from '../standing/coveredBy';
import { sealedShare } from '../standing/sealed';
import { DONE_WITH_COATS, goodsOfCoat } from '../supply/goodsTaken';

/** Something came, was thrown away, was counted, or went on the walls; litres, of tape mm. */
export interface Moved {
  readonly good: Good;
  /** ms since 1970 */
  readonly at: number;
  readonly kind: 'delivered' | 'thrown' | 'counted' | 'used';
  readonly amount: number;
  /** On which class it went. */
  readonly class?: CoatedClass;
}

/** How much there is of one good, and how it came to that; litres, of tape mm. */
export interface Stock {
  readonly good: Good;
  readonly delivered: number;
  readonly thrown: number;
  readonly used: number;
  /** What a count found more (below 0: less) than there should have been, all counts together. */
  readonly found: number;
  /** Below 0 where more went on than was ever said to have come. */
  readonly onHand: number;
  /** What was used in the last seven days. */
  readonly lastWeek: number;
}

const WEEK_MS = 7 * 86_400_000;

/**
 * What is there of each good that anything was ever said of: what came, less what was thrown away and what went on; a count says what there is
 * from then on. However it was recorded, it counts in the order in which it happened.
 *
 * @param now ms since 1970
 */
export function stockOf(moves: readonly Moved[], now: number): readonly Stock[] {
  return GOODS.flatMap((good): readonly Stock[] => {
    const own = moves.filter((move) => move.good === good && move.at <= now).toSorted((a, b) => a.at - b.at);
    if (own.length === 0) return [];
    const sum = { delivered: 0, thrown: 0, used: 0 };
    let [onHand, found, lastWeek] = [0, 0, 0];
    for (const { kind, amount, at } of own) {
      if (kind === 'counted') {
        found += amount - onHand;
        onHand = amount;
        continue;
      }
      sum[kind] += amount;
      onHand += kind === 'delivered' ? amount : -amount;
      if (kind === 'used' && at > now - WEEK_MS) lastWeek += amount;
    }
    return [{ good, ...sum, found, onHand, lastWeek }];
  });
}

/**
 * Returns everything that came, went and was counted of goods in a house.
 *
 * @param said the entries of the kind `STOCK` that stand
 */
export const movesIn = (
  said: readonly Entry[],
  rooms: readonly RoomSnapshot[],
  wares: Pick<Wares, 'of' | 'coverage'>,
): readonly Moved[] =>
  movesBySection(said, rooms, wares).map((move) =>
    move.kind === 'used' ? { ...move, amount: move.amount * wares.of[move.good].use } : move,
  );

/** Returns the same, with what was used as the sections have it, not as the crew really uses it. */
export const movesBySection = (
  said: readonly Entry[],
  rooms: readonly RoomSnapshot[],
  wares: Pick<Wares, 'of' | 'coverage'>,
): readonly Moved[] => [...movedIn(said), ...rooms.flatMap((room) => usedIn(room, wares))];

export const STOCK: ReadonlySet<Entry['kind']> = new Set(['stock']);

/** What was said of goods, by entries of the kind `STOCK`, in the order of recording: at one instant that is the order in which it counts. */
export const movedIn = (entries: readonly Entry[]): readonly Moved[] =>
  entries
    .toSorted((a, b) => a.seq - b.seq)
    .flatMap((entry): readonly Moved[] =>
      entry.kind === 'stock'
        ? [
            {
              good: entry.payload.good,
              at: Date.parse(entry.at),
              kind: entry.payload.what,
              amount: entry.payload.amount,
            },
          ]
        : [],
    );

/** What went on the walls of a room by its log: mud by the section of each joint, tape by its length, sealer by the surface. */
export function usedIn(room: RoomSnapshot, { coverage }: Pick<Wares, 'coverage'>): readonly Moved[] {
  const { state, coats, method, tally, prefill } = room;
  const used: Moved[] = [];
  for (const { at, payload } of state.applied) {
    const { class: kind, on } = payload;
    const coat = coatNamed(coats, payload) ?? coats.findLast((own) => own.class === kind);
    if (!coat || !on) continue;
    const when = Date.parse(at);
    const amount = amountCovered(payload);
    // By what was put on that day, whatever the method is by now.
    const put = payload.put ?? putOnBy(payload, method);
    const as = { ...coat, mud: put.product, tape: put.tape };
    for (const [good, taken] of goodsOfCoat(as, amount / coat.amount, room, DONE_WITH_COATS))
      used.push({ good, at: when, kind: 'used', amount: taken, class: kind });
  }
  for (const { prefill: own, litres } of prefill.filled)
    if (litres > 0)
      used.push({
        good: own.mud.kind === 'setting' ? 'setting' : 'all-purpose',
        at: Date.parse(own.at),
        kind: 'used',
        amount: litres,
      });
  const sealer = sealedArea(tally, coats, method) / coverage;
  for (const [sealing, own] of groupBy([...room.sealed.faces], ([, by]) => by)) {
    const share = sealedShare(
      room.sealed,
      room.pieces,
      own.map(([face]) => face),
    );
    if (sealer * share > 0)
      used.push({ good: 'sealer', at: Date.parse(sealing.at), kind: 'used', amount: sealer * share });
  }
  return used;
}

/**
 * Returns how much more is still to go on than is there, with what is lost on the way; litres, of tape mm.
 *
 * @param still what the work that is left takes, see `stillNeeded`
 */
export const missingOf = (still: number, waste: number, { onHand }: Pick<Stock, 'onHand'>): number =>
  Math.max(0, still * (1 + waste) - Math.max(0, onHand));

/** For how many days what is there lasts at the pace of the last week; undefined where nothing was used. */
export const lastsDays = ({ onHand, lastWeek }: Pick<Stock, 'onHand' | 'lastWeek'>): number | undefined =>
  lastWeek > 0 ? Math.max(0, onHand) / (lastWeek / 7) : undefined;
