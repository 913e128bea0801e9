import { MM_PER_INCH } from '../measure/unit';
import type { Coat } from '../method/coat';
import type { Section } from './buildSection';
import type { Plane } from './plane';
import { type KnifeReading, rockUnder } from './rockUnder';
import type { Tolerance } from './tolerance';

/** The knife that a finished joint is checked with. Common practice, no source. */
export const CHECK_KNIFE_MM = 12 * MM_PER_INCH;
/** On a butt this much build is too much: the wall around it has to come up. Common practice, no source. */
export const MOST_BUILD_MM = (MM_PER_INCH * 3) / 16;
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
  | { readonly kind: 'tooMuch'; readonly build: number }
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
  const tooMuch = !isLine && crown > MOST_BUILD_MM;
  const advice: Advice[] = [];
  if (section.layout === 'across' && section.found.gap > DEEP_FILL_MM)
    advice.push({ kind: 'prefill', gap: section.found.gap });
  if (tooMuch) advice.push({ kind: 'tooMuch', build: crown });
  else if (needed > width + 1) advice.push({ kind: 'wider', to: needed, by: needed - width });
  if (gapped) advice.push({ kind: 'anotherCoat', gap: knife.gap });
  const last = section.coats.at(-1);
  if (last && last.coat.key !== 'tape' && !last.coat.edges && !steep && !gapped && last.thickest < 0.2)
    advice.push({ kind: 'edgesOnly' });
  for (const { coat, thickest } of section.coats)
    if (coat.mud !== 'setting' && thickest > DEEP_FILL_MM) advice.push({ kind: 'settingMud', coat, thickest });
  const shows = steep || gapped || tooMuch || needed > width + 1;
  if (advice.length === 0) advice.push({ kind: 'enough' });
  return { crown, hollow, width, steepest, knife, shows, advice };
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
  return {
    crown,
    hollow,
    steepest,
    width: last > first ? (last - first) * step : 0,
    knife: rockUnder(top, from, step, CHECK_KNIFE_MM, centre),
  };
}
