import { MOST_BUILD_MM } from './judgeSection';
import { SHRINKAGE } from './mud';
import type { Tolerance } from './tolerance';

/** What was seen of a knife laid across a joint; mm. */
export type KnifeSeen =
  /** Pressed down at one end, the other lifts. */
  | { readonly kind: 'rocks'; readonly lift: number }
  /** It lies still and light shows under its middle. */
  | { readonly kind: 'light'; readonly gap: number }
  | { readonly kind: 'flat' };

/** What that means for the joint; lengths in mm, mud in litres per metre, wet. */
export interface KnifeFinding {
  readonly kind: 'flat' | 'hump' | 'hollow';
  readonly height: number;
  /** How wide the joint has to be finished, both sides together. */
  readonly width: number;
  readonly extraMud: number;
  readonly extraCoat: boolean;
  /** No width hides this much build; see `MOST_BUILD_MM`. */
  readonly tooMuch: boolean;
}

/**
 * What a knife check says. A knife that rocks stands on a hump under its middle: pressed down at one end, the other lifts
 * by twice the hump's height, whatever the knife's length. Light under a knife that lies still is a hollow.
 *
 * @param knife its length, mm
 * @param now how wide the joint is finished or will be, both sides together, mm
 * @example knifeCheck({ kind: 'rocks', lift: 4 }, 305, 305, tolerance).height  // 2
 */
export function knifeCheck(seen: KnifeSeen, knife: number, now: number, tolerance: Tolerance): KnifeFinding {
  switch (seen.kind) {
    case 'flat':
      return { kind: 'flat', height: 0, width: now, extraMud: 0, extraCoat: false, tooMuch: false };
    case 'rocks': {
      const height = seen.lift / 2;
      const width = Math.max(now, (2 * height) / tolerance.slope);
      // Two long triangles, less those that are there.
      const extraMud = (height * (width - now)) / 2 / (1 - SHRINKAGE['all-purpose']) / 1000;
      return { kind: 'hump', height, width, extraMud, extraCoat: width > now, tooMuch: height > MOST_BUILD_MM };
    }
    case 'light': {
      // The hollow is as long as the knife bridges, and round.
      const extraMud = ((2 / 3) * seen.gap * knife) / (1 - SHRINKAGE['all-purpose']) / 1000;
      return {
        kind: 'hollow',
        height: seen.gap,
        width: Math.max(now, knife),
        extraMud,
        extraCoat: seen.gap > tolerance.gap,
        tooMuch: false,
      };
    }
  }
}
