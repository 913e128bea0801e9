import type { LIGHTS, SURFACES } from '../room/kinds';
import type { Level } from '../room/level';

export type Surface = (typeof SURFACES)[number];
export type Light = (typeof LIGHTS)[number];

/** How uneven a joint may be before it shows. */
export interface Tolerance {
  /** The rise over the run from the crest to the edge of the coats. */
  readonly slope: number;
  /** The gap under a 12 in knife; mm. */
  readonly gap: number;
}

/**
 * In flat paint and ordinary light: a hump is lost in 170 times its height on each side, so that an ordinary butt takes
 * 24 to 28 in and a bad one 36. Common practice, no source; the factors below too.
 */
const PLAIN: Tolerance = { slope: 1 / 170, gap: 0.5 };
const BY_SURFACE: Readonly<Record<Surface, number>> = {
  gloss: 0.75,
  'flat paint': 1,
  paper: 1.2,
  'fine texture': 1.25,
  'heavy texture': 2.5,
  tile: 5,
};
const BY_LIGHT: Readonly<Record<Light, number>> = {
  ordinary: 1,
  cove: 0.75,
  'low sun': 0.65,
  'lamp along the wall': 0.6,
};

/** How uneven a joint may be under a covering and in a light. */
export function toleranceFor(surface: Surface = 'flat paint', light: Light = 'ordinary'): Tolerance {
  const factor = BY_SURFACE[surface] * BY_LIGHT[light];
  return { slope: PLAIN.slope * factor, gap: PLAIN.gap * factor };
}

/**
 * The level of finish that a covering and a light ask for: heavy texture forgives an edge, gloss or paint in raking light
 * forgives nothing. Common practice, no source.
 *
 * @example levelFor('flat paint', 'low sun')  // 5
 */
export function levelFor(surface: Surface = 'flat paint', light: Light = 'ordinary'): Level {
  switch (surface) {
    case 'tile':
      return 2;
    case 'heavy texture':
      return 3;
    case 'gloss':
      return 5;
    case 'paper':
      return 4;
    case 'flat paint':
    case 'fine texture':
      return light === 'ordinary' ? 4 : 5;
  }
}

/** A finish that is said for a room, and for faces of it. */
export interface SaidFinish {
  readonly surface?: Surface | undefined;
  readonly light?: Light | undefined;
  readonly faces?:
    | Readonly<Record<string, { readonly surface?: Surface | undefined; readonly light?: Light | undefined }>>
    | undefined;
}

/** The least uneven that a joint of a room may be: that of the face that forgives least. */
export function strictestTolerance({ surface, light, faces }: SaidFinish = {}): Tolerance {
  const each = Object.values(faces ?? {}).map((face) => toleranceFor(face.surface ?? surface, face.light ?? light));
  return each.reduce((least, own) => (own.slope < least.slope ? own : least), toleranceFor(surface, light));
}
