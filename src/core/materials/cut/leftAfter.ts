import { TOLERANCE_MM } from '../../measure/unit';
import type { Catalogue } from '../catalogueSchema';
import type { BeadCuts } from './cutBead';

/** What is shorter is thrown away: two feet. Common practice, no source. */
const WORTH_KEEPING_MM = 600;
const MOST_KEPT = 400;

/**
 * The pieces that lie there once a list is cut: those before that were not used, and what is left of its sticks where it is worth
 * keeping; the longest first.
 *
 * @example leftAfter(cutBead(pieces, 'in', wares), wares.offcuts)
 */
export function leftAfter(bead: readonly BeadCuts[], before: Catalogue['offcuts']): Catalogue['offcuts'] {
  const kept = [...before];
  for (const { profile, list } of bead) {
    if (profile === 'none') continue;
    for (const { length, left, isOffcut } of list.sticks) {
      const used = kept.findIndex((one) => one.profile === profile && Math.abs(one.length - length) <= TOLERANCE_MM);
      if (isOffcut && used >= 0) kept.splice(used, 1);
      if (left >= WORTH_KEEPING_MM) kept.push({ profile, length: Math.floor(left) });
    }
  }
  return kept.toSorted((a, b) => b.length - a.length).slice(0, MOST_KEPT);
}
