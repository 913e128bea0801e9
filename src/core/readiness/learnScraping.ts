import type { Piece } from '../joints/pieces';
import type { Between } from '../log/roomState';
import { MM_PER_FOOT } from '../measure/unit';
import type { Scraping } from '../method/resolveMethod';
import { SCRAPED_PER_HOUR } from '../work/usualRates';

/** The usual rate counts as much as one run that somebody timed. */
const USUAL_RUNS = 1;

/**
 * Returns whether a crew leaves clean or dirty work to scrape, by the runs that were timed: each is nearer to the one rate or to the
 * other, and the more of them decide, in whatever order they came.
 *
 * @param rooms what was scraped in them, and on what
 * @example learnScraping([])  // 'dirty': the usual rate
 */
export function learnScraping(
  rooms: readonly { readonly betweens: readonly Between[]; readonly pieces: readonly Piece[] }[],
): Scraping {
  const middle = Math.sqrt(SCRAPED_PER_HOUR.clean * SCRAPED_PER_HOUR.dirty);
  let balance = -USUAL_RUNS;
  for (const { betweens, pieces } of rooms)
    for (const run of betweens) {
      const feet = isTimedScraping(run) ? feetOf(pieces, run) : 0;
      if (feet > 0) balance += feet / (run.took ?? 0) > middle ? 1 : -1;
    }
  return balance > 0 ? 'clean' : 'dirty';
}

/** Returns whether somebody scraped and said how long it took. */
export const isTimedScraping = ({ how, took = 0 }: Between): boolean => how === 'scrape' && took > 0;

/** Feet of joint that a run went over; a joint that lies on two faces once. */
const feetOf = (pieces: readonly Piece[], { classes, faces: only }: Between): number =>
  pieces.reduce((sum, { class: kind, face, faces, amount }) => {
    if (kind === 'fasteners' || kind === 'surface') return sum;
    const isScraped = (classes?.includes(kind) ?? true) && (only?.includes(face) ?? true);
    return isScraped ? sum + amount / faces.length : sum;
  }, 0) / MM_PER_FOOT;
