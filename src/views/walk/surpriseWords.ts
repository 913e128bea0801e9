import type { Found } from '@/core/drying/touch';
import { spanWords } from '@/words/when';

const HOUR_MS = 3_600_000;
/** Clocks are often wrong by less. */
const WORTH_ASKING_MS = 2 * HOUR_MS;

/**
 * Says how far a touch check is from what the clock expected; undefined where it is near.
 *
 * @param left ms until the clock has it ready, below 0 where that is past
 * @example surpriseWords('white', 7 * 3_600_000)  // '7 h earlier than expected.'
 */
export function surpriseWords(found: Found, left: number): string | undefined {
  const off = found === 'white' ? left : -left;
  if (off < WORTH_ASKING_MS) return undefined;
  if (!Number.isFinite(off)) return 'The clock had it wet until the air is drier.';
  return `${spanWords(Math.round(off / HOUR_MS))} ${found === 'white' ? 'earlier' : 'later'} than expected.`;
}
