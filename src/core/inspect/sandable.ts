import { amountOf } from '../joints/pieces';
import type { Sanding } from '../log/stateOf';
import { MM_PER_FOOT } from '../measure/unit';
import type { CoatedClass } from '../method/coat';
import { sandingOrder } from '../method/finalSanding';
import { isFloated } from '../method/tools';
import { stretchNow } from '../readiness/whatNow';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { RATES_PER_HOUR, SKIM_SAND_FT2_PER_HOUR } from '../work/usualRates';

/** What of one class may be sanded. */
export interface Sandable {
  readonly class: CoatedClass;
  /** mm of joint, fasteners by count, mm² of surface. */
  readonly amount: number;
  /** The part of it that is sanded, 0–1. */
  readonly sanded: number;
  /** Now; or it waits for its own coats, until its own mud is dry, or until other mud in the room is: dust falls into it. */
  readonly now:
    | { readonly kind: 'sanded' | 'go' | 'coats' }
    | { readonly kind: 'wet' | 'beside'; readonly until: number };
  /** Person-hours by the usual rates, for what is not sanded yet. */
  readonly hours: number;
  /** Sheets of paper. */
  readonly paper: number;
}

/** A sheet of paper lasts for so much mud. Common practice, no source. */
const MM2_PER_SHEET = 100 * MM_PER_FOOT ** 2;
/** Round a fastener so much is sanded. Common practice, no source. */
const FASTENER_MM2 = 100 * 100;

/**
 * What of a room may be sanded now, class by class in the order in which it is, and what waits for what. A room in which mud is
 * wet is not sanded: it shares its air.
 */
export function sandable(
  { applied, coats, method, air: clock, done, pieces }: RoomSnapshot,
  now: number,
): readonly Sandable[] {
  const kinds = sandingOrder([...new Set(coats.map((coat) => coat.class))], method);
  const nows = applied.stretches.map((stretch) => ({
    stretch,
    now: stretchNow(
      stretch,
      coats.filter((coat) => coat.class === stretch.class),
      { method, applied, clock, now },
    ),
  }));
  const wetUntil = nows.flatMap(({ now: own }) => (own.kind === 'wet' ? [own.until] : []));
  const roomDry = wetUntil.length > 0 ? Math.max(...wetUntil) : undefined;
  return kinds.map((kind): Sandable => {
    const own = pieces.filter((piece) => piece.class === kind);
    const amount = amountOf(own);
    const smooth = amountOf(own.filter(({ id }) => done.sandedPieces.has(id)));
    const left = amount - smooth;
    const width = coats.findLast((coat) => coat.class === kind)?.tool.width ?? 0;
    return {
      class: kind,
      amount,
      sanded: amount > 0 ? smooth / amount : 0,
      now: nowOf(kind, left, nows, roomDry),
      hours: hoursOf(kind, left),
      paper: areaOf(kind, left, width) / MM2_PER_SHEET,
    };
  });
}

/**
 * What of that which is said to be sanded was wet then by its clock; undefined where nothing was. What went on later was not
 * there.
 *
 * @param at ms since 1970
 */
export function wetWhenSanded(
  { applied, coats, method, air: clock }: Pick<RoomSnapshot, 'applied' | 'coats' | 'method' | 'air'>,
  { classes, faces }: Pick<Sanding, 'classes' | 'faces'>,
  at: number,
): CoatedClass | undefined {
  const wet = applied.stretches.find((stretch) => {
    if (classes && !classes.includes(stretch.class)) return false;
    if (faces && !stretch.pieces.some(({ face }) => faces.includes(face))) return false;
    if (stretch.coats.some(({ applications }) => applications.some((entry) => Date.parse(entry.at) > at))) return false;
    const own = coats.filter((coat) => coat.class === stretch.class);
    const then = stretchNow(stretch, own, { method, applied, clock, now: at });
    // Its own mud, not what lies beside it or under it.
    return (
      then.kind === 'wet' &&
      stretch.coats.some(({ coat, applications }) => coat.id === then.coat.id && applications.length > 0)
    );
  });
  return wet?.class;
}

function nowOf(
  kind: CoatedClass,
  left: number,
  nows: readonly { readonly stretch: { readonly class: CoatedClass }; readonly now: ReturnType<typeof stretchNow> }[],
  roomDry: number | undefined,
): Sandable['now'] {
  if (left <= 0) return { kind: 'sanded' };
  const own = nows.filter(({ stretch }) => stretch.class === kind).map(({ now }) => now);
  if (own.length === 0 || own.some((now) => ['go', 'after', 'held', 'mend'].includes(now.kind)))
    return { kind: 'coats' };
  const wet = own.flatMap((now) => (now.kind === 'wet' ? [now] : []));
  if (wet.some(({ next }) => next !== undefined)) return { kind: 'coats' };
  if (wet.length > 0) return { kind: 'wet', until: Math.max(...wet.map(({ until }) => until)) };
  return roomDry === undefined ? { kind: 'go' } : { kind: 'beside', until: roomDry };
}

/** Both sides of an angle are pieces of their own; the rate is for the joint. */
const perJoint = (kind: CoatedClass, amount: number): number =>
  kind === 'angle' || kind === 'offAngle' || kind === 'bead' ? amount / 2 : amount;

function hoursOf(kind: CoatedClass, amount: number): number {
  if (kind === 'surface') return amount / MM_PER_FOOT ** 2 / SKIM_SAND_FT2_PER_HOUR;
  const rate = RATES_PER_HOUR[kind].sand;
  return kind === 'fasteners' ? amount / rate : perJoint(kind, amount) / MM_PER_FOOT / rate;
}

function areaOf(kind: CoatedClass, amount: number, width: number): number {
  if (kind === 'surface') return amount;
  return kind === 'fasteners' ? amount * FASTENER_MM2 : amount * width * (isFloated(kind) ? 2 : 1);
}
