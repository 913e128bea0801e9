import type { Coat, MudProduct, ToolKind } from '../method/coat';
import type { Blade } from './blade';

/** The part of wet mud that is lost when it hardens. Common practice, no source (from memory). */
export const SHRINKAGE: Readonly<Record<MudProduct, number>> = {
  taping: 0.3,
  'all-purpose': 0.27,
  lightweight: 0.24,
  topping: 0.22,
  setting: 0.04,
};

/** source: ASTM C475 (from memory): paper tape about 2 in wide and at most 0.012 in thick; mesh is thinner. */
export const TAPE_WIDTH_MM = 52;
export const TAPE_MM: Readonly<Record<'paper' | 'mesh', number>> = { paper: 0.22, mesh: 0.15 };

/**
 * Wet mud that stays under paper tape once it is wiped, mm; mesh lies on the board and is filled through. Over a butt it is wiped less
 * hard, since no recess keeps a bed there; in a corner it gathers behind the crease. Common practice, no source.
 */
export const BED_MM: Readonly<Record<'recessed' | 'crowned' | 'corner', number>> = {
  recessed: 0.34,
  crowned: 0.42,
  corner: 0.6,
};
/** A head or a taper leaves this much of a knife's bed. Common practice, no source. */
export const BED_BY_TOOL: Readonly<Record<'knife' | 'head' | 'taper', number>> = { knife: 1, head: 0.95, taper: 0.88 };

/**
 * How far a blade bows over its own width when it is pressed, mm at its middle: a soft knife digs into a valley, a trowel
 * or a box bridges it; floated lightly, every blade runs nearly straight. Common practice, no source.
 */
const BOW_MM: Readonly<Record<ToolKind, number>> = {
  knife: 0.85,
  trowel: 0.35,
  box: 0.3,
  head: 0.5,
  corner: 0.5,
  taper: 0.85,
};
const FLOATED_BOW_MM = 0.3;

/** What a blade leaves under its middle, mm. Common practice, no source. */
const FILM_MM = { wiped: 0.12, covered: 0.3, fill: 0.46, finish: 0.3 } as const;
const CONSISTENCY: Readonly<Record<Coat['consistency'], number>> = { thin: 0.9, medium: 1, stiff: 1.15 };

/** A blade that leans on a crest leaves less. Common practice, no source. */
const CREST_FILM = 0.7;
/** A blade that rides on a bead's nose leaves next to nothing after the first fill. Common practice, no source. */
const NOSE_FILM_MM = { tape: 0.1, fill: 0.14, finish: 0.06 } as const;
/** Three thin passes over a screw: the first is left fuller, the last is wiped tight. Common practice, no source. */
const SCREW_FILM_MM = { tape: 0.48, fill: 0.25, finish: 0.22 } as const;

/** The blade of a coat; `floated` when it leans from a crest down to the board, `onNose` when that is a bead's. */
export function bladeOf(coat: Coat, floated: boolean, onNose: boolean): Blade {
  const bow = floated ? Math.min(FLOATED_BOW_MM, BOW_MM[coat.tool.kind]) : BOW_MM[coat.tool.kind];
  return { bow: (8 * bow) / coat.tool.width ** 2, film: filmOf(coat, floated, onNose) };
}

function filmOf({ class: kind, key, covered, consistency }: Coat, floated: boolean, onNose: boolean): number {
  const pass = key === 'tape' || key === 'fill' ? key : 'finish';
  if (kind === 'fasteners') return SCREW_FILM_MM[pass];
  if (onNose) return NOSE_FILM_MM[pass];
  const film = pass === 'tape' ? (covered ? FILM_MM.covered : FILM_MM.wiped) : FILM_MM[pass];
  return film * CONSISTENCY[consistency] * (floated && pass === 'fill' ? CREST_FILM : 1);
}

/** The film of a skim over a whole surface, wet; mm. Common practice, no source. */
export const SKIM_MM = 0.2;

/** What sanding takes off, mm: between coats, and at the end. Common practice, no source. */
export const SANDED_MM = { between: 0.04, last: 0.06 } as const;
