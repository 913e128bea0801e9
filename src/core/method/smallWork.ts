import { CLASS_TRAITS, isAngle } from '../joints/classTraits';
import type { Tally } from '../joints/tally';
import type { CoatKey, MudProduct } from './coat';
import { choicesFor, type Method } from './resolveMethod';
import type { RoomCoat } from './roomCoats';

/** Work beside the coats that is not a coat of its own, but takes minutes and mud. */
export const SMALL_WORK = ['prefill', 'factoryEdge', 'threeWay', 'centring'] as const;
export type SmallWorkKind = (typeof SMALL_WORK)[number];

/** Some small work of a room, in the round in which it is done. */
export interface SmallWork {
  readonly kind: SmallWorkKind;
  readonly round: CoatKey;
  /** mm; three-ways by count. */
  readonly amount: number;
  readonly mud: MudProduct;
  /** The mud that goes on, litres. */
  readonly litres: number;
}

/** The part of butts and mixed joints that stands open over 1/8 in, or has a broken corner. Common practice, no source. */
export const GAPPED = 0.05;
/** Half an inch. */
const BOARD_MM = 12.7;
/** Litres a metre, or each. Both tapers in a corner are two valleys of 64 × 1.3 mm to fill, one only dips. */
const LITRES = { prefill: 0.08, bothEdges: 0.08, oneEdge: 0.02, threeWay: 0.01, centring: 0.05 } as const;

/**
 * The small work of a room: gaps pre-filled with setting mud before the tape, factory edges in angles and three-ways flushed with the
 * tape and a coat of the angles, boxed butts centred. Setting the beads is their coat of the tape round. Common practice, no
 * source.
 *
 * @param gaps what was found to pre-fill where somebody looked, mm; a part of the joints that gape most where nobody did
 * @param gapLitres the mud that it takes, where somebody said how wide it is
 * @example smallWorkOf(tally, coats, method).find(({ kind }) => kind === 'threeWay')?.amount  // 8
 */
export function smallWorkOf(
  tally: Tally,
  coats: readonly RoomCoat[],
  method: Method,
  gaps?: number,
  gapLitres?: number,
): readonly SmallWork[] {
  return [...prefill(coats, gaps, gapLitres), ...inAngles(tally, coats), ...centring(coats, method)].filter(
    ({ amount }) => amount > 0,
  );
}

/**
 * Returns the part of some small work that goes with a coat, 0–1: factory edges and three-ways with the angles of their round,
 * centring with the butts. Pre-filling goes with none.
 *
 * @param coats all coats of the room
 */
export function shareOfSmall({ kind, round }: SmallWork, coat: RoomCoat, coats: readonly RoomCoat[]): number {
  const isBeside = (own: RoomCoat) =>
    own.round === round && (kind === 'centring' ? isBoxedButt(own) : isAngle(own.class));
  const beside = coats.filter(isBeside);
  if (kind === 'prefill' || !beside.some(({ id }) => id === coat.id)) return 0;
  return coat.amount / beside.reduce((sum, { amount }) => sum + amount, 0);
}

const isBoxedButt = ({ class: kind, tool }: RoomCoat): boolean =>
  CLASS_TRAITS[kind].boxed === 'butt' && tool.kind === 'box';

function prefill(
  coats: readonly RoomCoat[],
  gaps: number | undefined,
  gapLitres: number | undefined,
): readonly SmallWork[] {
  const open = coats.filter(({ key, class: kind }) => key === 'tape' && CLASS_TRAITS[kind].gapped);
  const amount = gaps ?? GAPPED * open.reduce((sum, coat) => sum + coat.amount, 0);
  return [{ kind: 'prefill', round: 'tape', amount, mud: 'setting', litres: gapLitres ?? prefillLitres(amount) }];
}

/**
 * The mud that a gap or a broken corner takes, litres: as deep as a board; a quarter of an inch wide where nobody says.
 *
 * @param length mm
 * @param width mm
 */
export const prefillLitres = (length: number, width?: number): number =>
  width === undefined ? (length / 1000) * LITRES.prefill : (length * width * BOARD_MM) / 1e6;

/**
 * Factory edges in angles are marked while taping, flushed in the tape pass and once more with the first coat over the tape; three-ways
 * in the tape pass and with the last coat.
 */
function inAngles({ factoryEdgeInAngle: { one, both }, threeWays }: Tally, coats: readonly RoomCoat[]) {
  const own = coats.filter(({ class: kind }) => isAngle(kind));
  const tape = own.find(({ key }) => key === 'tape');
  const over = own.filter(({ key }) => key !== 'tape');
  const [first, last] = [over.at(0), over.at(-1)];
  if (!tape || !first || !last) return [];
  const twice = (kind: 'factoryEdge' | 'threeWay', amount: number, litres: number, again: RoomCoat): SmallWork[] => [
    { kind, round: tape.round, amount, mud: tape.mud, litres: litres * IN_TAPE_PASS },
    { kind, round: again.round, amount, mud: again.mud, litres: litres * (1 - IN_TAPE_PASS) },
  ];
  return [
    ...twice('factoryEdge', one + both, (both * LITRES.bothEdges + one * LITRES.oneEdge) / 1000, first),
    ...twice('threeWay', threeWays, threeWays * LITRES.threeWay, last),
  ];
}

/** The first flush takes most of the mud, the second what it lost by shrinking and wiping. Common practice, no source. */
const IN_TAPE_PASS = 0.6;

/** Returns whether a coat is an unbacked butt that is boxed on both sides, whose middle is run by hand once that is stiff. */
export const isCentered = (coat: RoomCoat, method: Method): boolean =>
  isBoxedButt(coat) && choicesFor(method, coat.class).centring !== 'none';

/** A box leaves an unbacked butt as two strips: its middle is run by hand. */
const centring = (coats: readonly RoomCoat[], method: Method): readonly SmallWork[] =>
  coats
    .filter((coat) => isCentered(coat, method))
    .map(({ round, amount, mud }) => ({
      kind: 'centring',
      round,
      amount,
      mud,
      litres: (amount / 1000) * LITRES.centring,
    }));
