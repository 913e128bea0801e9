import { CLASS_TRAITS, type Layout } from '../joints/classTraits';
import { type Coat, type CoatedClass, isFirstSide } from '../method/coat';
import type { Shrinkage } from '../method/resolveMethod';
import { bladeSurface } from './blade';
import { type JointFound, USUAL_JOINT } from './joint';
import { BED_BY_TOOL, BED_MM, bladeOf, SANDED_MM, SHRINKAGE, SKIM_MM, TAPE_MM, TAPE_WIDTH_MM } from './mud';
import { barePlanes, type CoatVolume, type Layer, type Plane } from './plane';
import { volumeOf } from './volumeOf';

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
  /** Of muds that lose another part than usual. */
  readonly shrinkage?: Shrinkage | undefined;
}

/** A blade that floats a crest reaches this far over it. Common practice, no source. */
const OVER_THE_CREST_MM = 25;
/** Tape mud is pressed this deep into a gap between boards. Common practice, no source. */
const GAP_DEPTH_MM = 4;

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
  { sandBetween, shrinkage }: SectionOptions = { sandBetween: false },
): Section {
  const { layout } = CLASS_TRAITS[kind];
  let planes = barePlanes(kind, layout, found);
  const volumes: CoatVolume[] = [];
  for (const [index, coat] of coats.entries()) {
    const lasts = !coats.slice(index + 1).some((later) => shareAPlane(coat, later));
    const sand = lasts ? SANDED_MM.last : sandBetween ? SANDED_MM.between : 0;
    const before = planes;
    planes = planes.map((plane, side) =>
      isCoated(coat, side)
        ? withCoat(plane, coat, kind, layout, sand, shrinkage?.[coat.mud] ?? SHRINKAGE[coat.mud])
        : plane,
    );
    const inGap = index === 0 && layout === 'across' ? found.gap * GAP_DEPTH_MM : 0;
    const touched = planes.filter((plane, side) => plane !== before[side]);
    volumes.push(volumeOf(coat, layout, touched, inGap));
  }
  return { class: kind, layout, found, planes, coats: volumes };
}

const shareAPlane = (a: Coat, b: Coat): boolean => a.side === undefined || b.side === undefined || a.side === b.side;

const isCoated = ({ side }: Coat, plane: number): boolean =>
  side === undefined || (isFirstSide(side) ? plane === 0 : plane === 1);

/** @param shrinks the part of the coat that is lost when it hardens */
function withCoat(plane: Plane, coat: Coat, kind: CoatedClass, layout: Layout, sand: number, shrinks: number): Plane {
  const below = plane.top;
  const taped = coat.tape ? laidTape(plane, coat, coat.tape, bedUnder(kind)) : undefined;
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
  const layer: Layer = { coat: coat.id, tape: taped, below, wet, dry, sanded };
  return { ...plane, layers: [...plane.layers, layer], top: sanded };
}

const bedUnder = (kind: CoatedClass): number => {
  const { layout, sides } = CLASS_TRAITS[kind];
  return BED_MM[layout === 'corner' ? 'corner' : sides === 2 ? 'crowned' : 'recessed'];
};

/** Tape pressed into its bed; mesh lies on the board. */
function laidTape({ top, from, step }: Plane, coat: Coat, tape: 'paper' | 'mesh', paperBed: number) {
  const thick = TAPE_MM[tape];
  const tool = coat.tool.kind === 'head' || coat.tool.kind === 'taper' ? coat.tool.kind : 'knife';
  const bed = tape === 'mesh' ? 0 : paperBed * BED_BY_TOOL[tool];
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
  const floated = CLASS_TRAITS[kind].sides === 2 && coat.key !== 'tape';
  const onNose = layout === 'nose' || layout === 'edge';
  const blade = bladeOf(coat, floated || onNose, onNose);
  const pass = (heights: readonly number[], from: number, to: number) =>
    bladeSurface(heights, at(from), at(to), plane.step, blade);
  const { width } = coat.tool;
  if (layout === 'corner' && coat.key !== 'tape') {
    // Past the tape the knife's end rides on the other side's board, and bridges the dip of a factory edge.
    return pass([Math.max(0, surface[0] ?? 0), ...surface.slice(1)], 0, width);
  }
  if (layout === 'corner' || onNose) return pass(surface, 0, width);
  if (layout === 'round') return pass(surface, -width / 2, width / 2);
  if (floated) {
    // Boxed butts are doubled out: a box runs beside the crest, which is centered by hand.
    const start = coat.edges ? TAPE_WIDTH_MM : coat.tool.kind === 'box' ? 0 : -OVER_THE_CREST_MM;
    return pass(pass(surface, start, start + width), -start - width, -start);
  }
  if (coat.edges) return pass(pass(surface, width / 6, (width * 2) / 3), -(width * 2) / 3, -width / 6);
  return pass(surface, -width / 2, width / 2);
}
