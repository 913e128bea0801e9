import { type Coat, type CoatedClass, type CoatId, coatId, isFirstSide } from '../method/coat';
import { isFloated } from '../method/tools';
import { bladeSurface } from './blade';
import { boardHeight, type JointFound, type Layout, layoutOf, USUAL_JOINT } from './joint';
import { BED_MM, bladeOf, SANDED_MM, SHRINKAGE, SKIM_MM, TAPE_MM, TAPE_WIDTH_MM } from './mud';

/** One surface of a joint: the whole of it, or one side of a corner or nose. Heights in mm over the boards' plane. */
export interface Plane {
  /** The place of the first height, mm from the joint's line, and the distance between two. */
  readonly from: number;
  readonly step: number;
  readonly board: readonly number[];
  readonly layers: readonly Layer[];
  /** What is there at the end. */
  readonly top: readonly number[];
}

/** What one coat adds to a plane. */
export interface Layer {
  readonly coat: CoatId;
  /** The tape between bed and cover, in the tape coat. */
  readonly tape: { readonly bottom: readonly number[]; readonly top: readonly number[] } | undefined;
  readonly below: readonly number[];
  readonly wet: readonly number[];
  readonly dry: readonly number[];
  readonly sanded: readonly number[];
}

/** What one coat takes: litres per metre of joint, per fastener, or per square metre of surface. */
export interface CoatVolume {
  readonly coat: Coat;
  readonly wet: number;
  readonly shrunk: number;
  readonly sanded: number;
  readonly left: number;
  /** The wet mud where it lies thickest, and where the blade left least over what it covers; mm. */
  readonly thickest: number;
  readonly thinnest: number;
}

/** A joint cut across, coat by coat. */
export interface Section {
  readonly class: CoatedClass;
  readonly layout: Layout;
  readonly found: JointFound;
  readonly planes: readonly Plane[];
  readonly coats: readonly CoatVolume[];
}

export interface SectionOptions {
  /** Whether coats are sanded between. */
  readonly sandBetween: boolean;
}

const STEP_MM = 2;
const HALF_MM = 640;
/** A blade that floats a crest reaches this far over it. Common practice, no source. */
const OVER_THE_CREST_MM = 25;
/** Tape mud is pressed this deep into a gap between boards. Common practice, no source. */
const GAP_DEPTH_MM = 4;
/** Mud thinner than this is a smear that no one measures; mm. */
const SMEAR_MM = 0.02;

/**
 * Puts the coats on a joint one after the other: tape in its bed, then per coat what the blade leaves, never below what is
 * there. Each layer shrinks where it lies, and sanding takes from the top layer only, never the tape. So what goes on, less
 * what shrinks and what is sanded, is what is there.
 *
 * @param coats the coats of one class in order, see `coatsFor`
 * @example buildSection('flat', coatsFor('flat', method)).coats[0].wet  // litres of tape coat per metre
 */
export function buildSection(
  kind: CoatedClass,
  coats: readonly Coat[],
  found: JointFound = USUAL_JOINT,
  { sandBetween }: SectionOptions = { sandBetween: false },
): Section {
  const layout = layoutOf(kind);
  let planes = barePlanes(kind, layout, found);
  const volumes: CoatVolume[] = [];
  for (const [index, coat] of coats.entries()) {
    const lasts = coats.slice(index + 1).every(({ side }) => side !== coat.side);
    const sand = lasts ? SANDED_MM.last : sandBetween ? SANDED_MM.between : 0;
    const before = planes;
    planes = planes.map((plane, side) => (isCoated(coat, side) ? withCoat(plane, coat, kind, layout, sand) : plane));
    const inGap = index === 0 && layout === 'across' ? found.gap * GAP_DEPTH_MM : 0;
    const touched = planes.filter((plane, side) => plane !== before[side]);
    volumes.push(volumeOf(coat, layout, touched, inGap));
  }
  return { class: kind, layout, found, planes, coats: volumes };
}

const isCoated = ({ side }: Coat, plane: number): boolean =>
  side === undefined || (isFirstSide(side) ? plane === 0 : plane === 1);

function barePlanes(kind: CoatedClass, layout: Layout, found: JointFound): readonly Plane[] {
  const whole = layout === 'across' || layout === 'round' || layout === 'even';
  const from = whole ? -HALF_MM : 0;
  const count = Math.round((HALF_MM - from) / STEP_MM) + 1;
  const sides: readonly (0 | 1)[] = layout === 'corner' || layout === 'nose' ? [0, 1] : [0];
  return sides.map((side) => {
    const board = Array.from({ length: count }, (_, index) => boardHeight(kind, found, from + index * STEP_MM, side));
    const standing = layout === 'nose' || layout === 'edge' ? withNose(board, found.nose) : board;
    return { from, step: STEP_MM, board: standing, layers: [], top: standing };
  });
}

/** The bead itself: its nose, and the flange that slopes from it. */
const FLANGE_MM = 28;
const FLANGE_THICK_MM = 0.4;
const withNose = (board: readonly number[], nose: number): readonly number[] =>
  board.map((height, index) => {
    const away = index * STEP_MM;
    return away > FLANGE_MM ? height : Math.max(nose * (1 - away / 6), FLANGE_THICK_MM);
  });

function withCoat(plane: Plane, coat: Coat, kind: CoatedClass, layout: Layout, sand: number): Plane {
  const shrinks = SHRINKAGE[coat.mud];
  const below = plane.top;
  const taped = coat.tape ? laidTape(plane, coat, coat.tape) : undefined;
  const wet =
    layout === 'even'
      ? below.map((height) => height + SKIM_MM)
      : bladed(plane, taped?.top ?? below, coat, kind, layout);
  const dry = wet.map((height, index) => {
    const start = below[index] ?? 0;
    const solid = taped ? (taped.top[index] ?? 0) - (taped.bottom[index] ?? 0) : 0;
    return start + solid + (height - start - solid) * (1 - shrinks);
  });
  const sanded = dry.map((height, index) => {
    // Sanding ends where tape appears: it takes from the mud over the tape only.
    const over = taped ? (wet[index] ?? 0) - (taped.top[index] ?? 0) : (wet[index] ?? 0) - (below[index] ?? 0);
    return height - Math.min(sand, Math.max(0, over * (1 - shrinks)));
  });
  const layer: Layer = { coat: coatId(coat), tape: taped, below, wet, dry, sanded };
  return { ...plane, layers: [...plane.layers, layer], top: sanded };
}

/** Tape pressed into its bed; mesh lies on the board. */
function laidTape({ top, from, step }: Plane, coat: Coat, tape: 'paper' | 'mesh') {
  const thick = TAPE_MM[tape];
  const tool = coat.toolKind === 'head' || coat.toolKind === 'taper' ? coat.toolKind : 'knife';
  const bed = tape === 'mesh' ? 0 : BED_MM[tool];
  const under = (index: number) => Math.abs(from + index * step) <= TAPE_WIDTH_MM / 2;
  const bottom = top.map((height, index) => (under(index) ? height + bed : height));
  return { bottom, top: bottom.map((height, index) => (under(index) ? height + thick : height)) };
}

/** The surface after the passes of a coat: one over the joint, or one on each side of its crest. */
function bladed(
  plane: Plane,
  surface: readonly number[],
  coat: Coat,
  kind: CoatedClass,
  layout: Layout,
): readonly number[] {
  const at = (x: number) => Math.min(surface.length - 1, Math.max(0, Math.round((x - plane.from) / plane.step)));
  const floated = isFloated(kind) && coat.key !== 'tape';
  const onNose = layout === 'nose' || layout === 'edge';
  const blade = bladeOf(coat, floated || onNose, onNose);
  const pass = (heights: readonly number[], from: number, to: number) =>
    bladeSurface(heights, at(from), at(to), plane.step, blade);
  const { width } = coat;
  if (layout === 'corner' || layout === 'nose' || layout === 'edge') return pass(surface, 0, width);
  if (layout === 'round') return pass(surface, -width / 2, width / 2);
  if (floated) {
    const start = coat.edges ? TAPE_WIDTH_MM : -OVER_THE_CREST_MM;
    return pass(pass(surface, start, start + width), -start - width, -start);
  }
  if (coat.edges) return pass(pass(surface, width / 6, (width * 2) / 3), -(width * 2) / 3, -width / 6);
  return pass(surface, -width / 2, width / 2);
}

/** @param inGap what the first coat presses between the boards, wet mm² */
function volumeOf(coat: Coat, layout: Layout, planes: readonly Plane[], inGap: number): CoatVolume {
  const hardened = inGap * (1 - SHRINKAGE[coat.mud]);
  let [wet, dry, left, thickest] = [inGap, hardened, hardened, 0];
  let thinnest = Infinity;
  for (const { from, step, layers } of planes) {
    const layer = layers.at(-1);
    if (!layer) continue;
    for (const [index, height] of layer.wet.entries()) {
      const tape = layer.tape ? (layer.tape.top[index] ?? 0) - (layer.tape.bottom[index] ?? 0) : 0;
      const start = (layer.below[index] ?? 0) + tape;
      const weight = layout === 'round' ? Math.PI * Math.abs(from + index * step) * step : step;
      wet += (height - start) * weight;
      dry += ((layer.dry[index] ?? 0) - start) * weight;
      left += ((layer.sanded[index] ?? 0) - start) * weight;
      const over = height - (layer.tape?.top[index] ?? start);
      thickest = Math.max(thickest, height - start);
      if (over > SMEAR_MM) thinnest = Math.min(thinnest, over);
    }
  }
  const litres = LITRES[layout] / (layout === 'even' ? 2 * HALF_MM + STEP_MM : 1);
  return {
    coat,
    wet: wet * litres,
    shrunk: (wet - dry) * litres,
    sanded: (dry - left) * litres,
    left: left * litres,
    thickest,
    thinnest: Number.isFinite(thinnest) ? thinnest : 0,
  };
}

/** Litres in what is summed: mm² along a metre, mm³ round a screw, mm over a square metre. */
const LITRES: Readonly<Record<Layout, number>> = {
  across: 1e-3,
  corner: 1e-3,
  nose: 1e-3,
  edge: 1e-3,
  round: 1e-6,
  even: 1,
};
