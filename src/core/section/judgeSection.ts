import { MM_PER_INCH } from '../measure/unit';
import type { Coat } from '../method/coat';
import type { Section } from './buildSection';
import type { Plane } from './plane';
import { type KnifeReading, rockUnder } from './rockUnder';
import type { Tolerance } from './tolerance';

/** The knife that a finished joint is checked with. Common practice, no source. */
export const CHECK_KNIFE_MM = 12 * MM_PER_INCH;
/** So much build on a butt is too much already, and wider than about 36 in nobody floats: it is cut back. Common practice, no source. */
export const MOST_BUILD_MM = (MM_PER_INCH * 3) / 16;
export const MOST_WIDTH_MM = 37 * MM_PER_INCH;
/** A fill deeper than this is better made with setting mud. Common practice, no source. */
export const DEEP_FILL_MM = MM_PER_INCH / 8;

/** What a section is like when all is on. */
export interface Judgement {
  /** The highest over the boards' plane and the lowest under it, within the joint; mm. */
  readonly crown: number;
  readonly hollow: number;
  /** From edge to edge of what was put on; mm. */
  readonly width: number;
  /** The steepest rise over a hand's breadth. */
  readonly steepest: number;
  readonly knife: KnifeReading;
  readonly shows: boolean;
  readonly advice: readonly Advice[];
}

/** What to do about a joint. */
export type Advice =
  | { readonly kind: 'enough' }
  /** Both sides together, mm: what it takes, and how much that is over what is planned. */
  | { readonly kind: 'wider'; readonly to: number; readonly by: number }
  /** Too high or too wide to float: mm of build, and the width that it would take. */
  | { readonly kind: 'cutBack'; readonly build: number; readonly width: number }
  /** Of an inside angle: its edges stand out, or its corner is full. */
  | { readonly kind: 'featherEdges' }
  | { readonly kind: 'squareCorner'; readonly full: number }
  | { readonly kind: 'anotherCoat'; readonly gap: number }
  | { readonly kind: 'edgesOnly' }
  | { readonly kind: 'prefill'; readonly gap: number }
  | {
      readonly kind: 'settingMud';
      readonly coat: Pick<Coat, 'class' | 'key' | 'sides' | 'trimmed'>;
      readonly thickest: number;
    };

const HAND_MM = 100;
/** Over a hand's breadth a slope may be this much more than the whole ramp's. */
const LOCAL = 1.3;
/** A corner or a nose is read as a line, a screw as a dot: what leans toward them shows less. Common practice, no source. */
const AT_A_LINE = 1.6;
const EDGE_MM = 0.03;

/**
 * Whether a joint is wide and flat enough not to show, and what to do where it is not.
 *
 * @example judgeSection(section, toleranceFor('flat paint', 'low sun')).shows
 */
export function judgeSection(section: Section, tolerance: Tolerance): Judgement {
  if (section.layout === 'corner') return judgeCorner(section, tolerance);
  const isLine = section.layout !== 'across' && section.layout !== 'even';
  const limit = tolerance.slope * (isLine ? AT_A_LINE : 1);
  const each = measuresOf(section);
  const worst = each.reduce((a, b) => (b.steepest > a.steepest ? b : a));
  const { crown, hollow, width, steepest, knife } = {
    ...worst,
    crown: Math.max(...each.map((plane) => plane.crown)),
    width: each.reduce((sum, plane) => sum + plane.width, 0),
  };
  // A bead's nose and a corner stand where they stand.
  const needed = isLine ? width : (2 * crown) / limit;
  const gapped = knife.gap > tolerance.gap;
  const steep = steepest > limit * LOCAL;
  const cutBack = !isLine && isTooMuch(crown, needed);
  const advice: Advice[] = [];
  if (section.layout === 'across' && section.found.gap > DEEP_FILL_MM)
    advice.push({ kind: 'prefill', gap: section.found.gap });
  if (cutBack) advice.push({ kind: 'cutBack', build: crown, width: needed });
  else if (needed > width + 1) advice.push({ kind: 'wider', to: needed, by: needed - width });
  if (gapped) advice.push({ kind: 'anotherCoat', gap: knife.gap });
  const last = section.coats.at(-1);
  if (last && last.coat.key !== 'tape' && !last.coat.edges && !steep && !gapped && last.thickest < 0.2)
    advice.push({ kind: 'edgesOnly' });
  for (const { coat, thickest } of section.coats)
    if (coat.mud !== 'setting' && thickest > DEEP_FILL_MM) advice.push({ kind: 'settingMud', coat, thickest });
  const shows = steep || gapped || cutBack || needed > width + 1;
  if (advice.length === 0) advice.push({ kind: 'enough' });
  return { crown, hollow, width, steepest, knife, shows, advice };
}

/** Returns whether a hump is too high, or would have to be floated too wide; mm. */
export const isTooMuch = (build: number, width: number): boolean => build >= MOST_BUILD_MM || width > MOST_WIDTH_MM;

/** An edge is a line of its own: so much steeper than a ramp it may end and still vanish. Common practice, no source. */
const EDGE = 4;
/** Slightly eased is wanted; fuller than this a corner reads as round. Common practice, no source. */
const FULL_CORNER_MM = 2.5;

/**
 * An inside angle is not judged by a knife laid across it: its two edges vanish and its corner is sharp. Whether it runs straight no
 * section says.
 */
function judgeCorner(section: Section, tolerance: Tolerance): Judgement {
  const each = measuresOf(section);
  const worst = each.reduce((a, b) => (b.steepest > a.steepest ? b : a));
  const full = Math.max(...section.planes.map(({ top }) => top[0] ?? 0));
  const edge = Math.max(...each.map((plane) => plane.edge));
  const advice: Advice[] = [];
  if (edge > tolerance.slope * EDGE) advice.push({ kind: 'featherEdges' });
  if (full > FULL_CORNER_MM) advice.push({ kind: 'squareCorner', full });
  const shows = advice.length > 0;
  if (!shows) advice.push({ kind: 'enough' });
  return {
    crown: Math.max(...each.map((plane) => plane.crown)),
    hollow: worst.hollow,
    width: each.reduce((sum, plane) => sum + plane.width, 0),
    steepest: worst.steepest,
    knife: worst.knife,
    shows,
    advice,
  };
}

// One section is judged in many lights; what is measured of it does not depend on them.
const known = new WeakMap<Section, readonly ReturnType<typeof measured>[]>();

function measuresOf(section: Section) {
  const measures = known.get(section) ?? section.planes.map(measured);
  known.set(section, measures);
  return measures;
}

function measured(plane: Plane) {
  const { top, board, from, step } = plane;
  let [crown, hollow] = [0, 0];
  let [first, last] = [top.length, 0];
  for (const [index, height] of top.entries()) {
    crown = Math.max(crown, height);
    if (height - (board[index] ?? 0) > EDGE_MM || Math.abs(board[index] ?? 0) > EDGE_MM) {
      first = Math.min(first, index);
      last = Math.max(last, index);
      hollow = Math.max(hollow, -height);
    }
  }
  const span = Math.round(HAND_MM / step);
  let steepest = 0;
  for (let index = 0; index + span < top.length; index += 1)
    steepest = Math.max(steepest, Math.abs((top[index + span] ?? 0) - (top[index] ?? 0)) / HAND_MM);
  // On a side of a corner or nose the knife's end is held to the line.
  const centre = from < 0 ? 0 : CHECK_KNIFE_MM / 2;
  const inch = Math.round(MM_PER_INCH / step);
  const edge =
    last > first ? Math.max(0, (top[Math.max(first, last - inch)] ?? 0) - (top[last] ?? 0)) / MM_PER_INCH : 0;
  return {
    crown,
    hollow,
    steepest,
    edge,
    width: last > first ? (last - first) * step : 0,
    knife: rockUnder(top, from, step, CHECK_KNIFE_MM, centre),
  };
}
