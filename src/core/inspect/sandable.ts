import { CLASS_TRAITS } from '../joints/classTraits';
import { amountOf, type Piece } from '../joints/pieces';
import type { Sanding as SandingEntry } from '../log/roomState';
import { heldAt } from '../log/roomState';
import { MM_PER_FOOT } from '../measure/unit';
import type { Coat, CoatedClass } from '../method/coat';
import { sandingOrder } from '../method/finalSanding';
import { mendsIn } from '../readiness/mending';
import { stretchNow } from '../readiness/stretchNow';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { leftToSand, type ToSand } from '../standing/leftToSand';
import { sandHours, sandingHours } from '../work/closing';

/** What of one class may be sanded. */
export interface Sandable {
  readonly class: CoatedClass;
  /** mm of joint, fasteners by count, mm² of surface. */
  readonly amount: number;
  /** The part of it that is sanded, 0–1. */
  readonly sanded: number;
  /**
   * Now; or it waits for its own coats, until its own mud is dry, until other mud in the room is since dust falls into it, or for
   * somebody else who has the room.
   */
  readonly now:
    | { readonly kind: 'sanded' | 'go' | 'coats' | 'held' }
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

/** What of a room may be sanded, and the work of it. */
export interface Sanding {
  /** In the order in which they are sanded. */
  readonly classes: readonly Sandable[];
  /** Person-hours of all that is left, walking in included; as the plan has it. */
  readonly hours: number;
}

/**
 * Returns what of a room may be sanded now, class by class in the order in which it is, and what waits for what. A room in which mud
 * is wet is not sanded: it shares its air. A held room is not either.
 */
export function sandingOf(room: RoomSnapshot, now: number): Sanding {
  const { applied, coats, method, clock, done, pieces, room: own, state } = room;
  const toSand = leftToSand(pieces, method, own.finish, done);
  const kinds = sandingOrder([...toSand.keys()], method);
  const nows = applied.stretches.map((stretch) => ({
    stretch,
    now: stretchNow(
      stretch,
      coats.filter((coat) => coat.class === stretch.class),
      { method, applied, clock, now },
    ),
  }));
  const isHeld = heldAt(state, now) !== undefined;
  const classes = kinds.map((kind): Sandable => {
    const { all, left, open } = toSand.get(kind) as ToSand;
    return {
      class: kind,
      amount: all,
      sanded: all > 0 ? 1 - left / all : 0,
      now: nowOf(kind, left, nows, { dryAt: room.standing.wetUntil, isHeld }),
      hours: sandHours(kind, left),
      paper: sheetsFor(kind, open, coats),
    };
  });
  const hours = classes.reduce((sum, one) => sum + one.hours, 0);
  return { classes, hours: sandingHours(hours, mendsIn(room)) };
}

/**
 * What of that which is said to be sanded was wet then by its clock; undefined where nothing was. What went on later was not
 * there.
 *
 * @param at ms since 1970
 */
export function wetWhenSanded(
  { applied, coats, method, clock }: Pick<RoomSnapshot, 'applied' | 'coats' | 'method' | 'clock'>,
  { classes, faces }: Pick<SandingEntry, 'classes' | 'faces'>,
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
  { dryAt, isHeld }: { readonly dryAt: number | undefined; readonly isHeld: boolean },
): Sandable['now'] {
  if (left <= 0) return { kind: 'sanded' };
  const own = nows.filter(({ stretch }) => stretch.class === kind).map(({ now }) => now);
  if (own.length === 0 || own.some((now) => ['go', 'after', 'held', 'mend'].includes(now.kind)))
    return { kind: 'coats' };
  const wet = own.flatMap((now) => (now.kind === 'wet' ? [now] : []));
  if (wet.some(({ next }) => next !== undefined)) return { kind: 'coats' };
  if (wet.length > 0) return { kind: 'wet', until: Math.max(...wet.map(({ until }) => until)) };
  if (dryAt !== undefined) return { kind: 'beside', until: dryAt };
  return isHeld ? { kind: 'held' } : { kind: 'go' };
}

/** Returns the sheets of paper for some pieces of a class: by the width of its last coat, on each side of a joint. */
export function sheetsFor(kind: CoatedClass, pieces: readonly Piece[], coats: readonly Coat[]): number {
  const amount = amountOf(pieces);
  const width = coats.findLast((coat) => coat.class === kind)?.tool.width ?? 0;
  const wide = kind === 'surface' ? 1 : kind === 'fasteners' ? FASTENER_MM2 : width * CLASS_TRAITS[kind].sides;
  return (amount * wide) / MM2_PER_SHEET;
}
