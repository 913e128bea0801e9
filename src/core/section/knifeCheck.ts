import { isTooMuch } from './judgeSection';
import { SHRINKAGE } from './mud';
import { type Tolerance, toleranceFor } from './tolerance';

/** What was seen of a knife laid across a joint; mm. */
export type KnifeSeen =
  /** Pressed down at one end, the other lifts; it rocks on a point so far from the pressed end. */
  | { readonly kind: 'rocks'; readonly lift: number; readonly pivot: number }
  /** It lies still and light shows under its middle. */
  | { readonly kind: 'light'; readonly gap: number }
  /** Held level on its middle, light shows under both ends. */
  | { readonly kind: 'ends'; readonly gap: number }
  | { readonly kind: 'flat' };

/** What that means for the joint; lengths in mm, mud in litres per metre, wet. */
export interface KnifeFinding {
  readonly kind: 'flat' | 'hump' | 'hollow';
  readonly height: number;
  /** How wide the joint has to be finished, both sides together. */
  readonly width: number;
  readonly extraMud: number;
  /** Where that lies thickest, wet; mm. */
  readonly thickest: number;
  readonly extraCoat: boolean;
  /** It stands too high, or would have to be floated too wide: it is cut back; see `isTooMuch`. */
  readonly cutBack: boolean;
}

/**
 * What a knife check says. Pressed down at one end, a knife lies on that end and on the hump that it rocks on, so the other
 * end lifts by the hump's height times the knife's length over the way to the hump: by twice the height where that is under
 * its middle, whatever the knife's length. Light under both ends of a knife held level is that hump too; light under its
 * middle is a hollow.
 *
 * @param knife its length, mm
 * @param now how wide the joint is finished or will be, both sides together, mm
 * @example knifeCheck({ kind: 'rocks', lift: 4, pivot: 152.5 }, 305, 305, tolerance).height  // 2
 */
export function knifeCheck(seen: KnifeSeen, knife: number, now: number, tolerance: Tolerance): KnifeFinding {
  switch (seen.kind) {
    case 'flat':
      return { kind: 'flat', height: 0, width: now, extraMud: 0, thickest: 0, extraCoat: false, cutBack: false };
    case 'rocks':
      return hump((seen.lift * seen.pivot) / knife, now, tolerance);
    case 'ends':
      return hump(seen.gap, now, tolerance);
    case 'light': {
      // The hollow is as long as the knife bridges, and round.
      const extraMud = ((2 / 3) * seen.gap * knife) / (1 - SHRINKAGE['all-purpose']) / 1000;
      return {
        kind: 'hollow',
        height: seen.gap,
        width: Math.max(now, knife),
        extraMud,
        thickest: seen.gap / (1 - SHRINKAGE['all-purpose']),
        extraCoat: seen.gap > tolerance.gap,
        cutBack: false,
      };
    }
  }
}

function hump(height: number, now: number, tolerance: Tolerance): KnifeFinding {
  const width = Math.max(now, (2 * height) / tolerance.slope);
  // Two long triangles, less those that are there.
  const wet = 1 / (1 - SHRINKAGE['all-purpose']);
  const extraMud = ((height * (width - now)) / 2 / 1000) * wet;
  // At the edges of what was there.
  const thickest = height * (1 - now / width) * wet;
  return { kind: 'hump', height, width, extraMud, thickest, extraCoat: width > now, cutBack: isTooMuch(height, width) };
}

/** A knife that was laid across a joint, as it is kept with what is wrong there; mm. */
export interface KnifeLaid {
  readonly length: number;
  /** How wide the joint was finished then. */
  readonly width: number;
  readonly seen: KnifeSeen;
}

/** Returns what a knife reading says of its joint, in flat paint and ordinary light. */
export const findingOf = ({ length, width, seen }: KnifeLaid): KnifeFinding =>
  knifeCheck(seen, length, width, toleranceFor());
