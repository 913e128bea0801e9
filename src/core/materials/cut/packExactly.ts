import { type Achievable, EPSILON } from './achievable';
import type { LinearProgram, Pattern, StickKind } from './lowerBound';
import type { Packing } from './packGreedily';

/**
 * Looks for a way that costs less than the best one, cost by cost from the bound up. A pattern that is worth less than its stick costs
 * loses the difference, and all that is lost together is no more than the cost less the bound of the linear program: few patterns are
 * left to be tried.
 *
 * @param patience steps of the search; undecided by then the best way stands unproven
 */
export function packExactly(
  sizes: readonly number[],
  counts: readonly number[],
  kinds: readonly StickKind[],
  { bound, worth }: LinearProgram,
  costs: Achievable,
  best: Packing,
  patience: number,
): Packing {
  let steps = patience;
  // Of all pieces, whatever is left: more than that is never in a stick.
  const reach = mostWorth(Math.max(...kinds.map(({ room }) => room)));
  let wanted = costs.atLeast(bound);
  while (wanted < best.cost - EPSILON) {
    const found = search(wanted - bound);
    if (found) return { patterns: found, cost: costOf(found), isProven: true };
    if (steps <= 0) return best;
    wanted = costs.atLeast(wanted + 2 * EPSILON);
  }
  return { ...best, isProven: true };

  function costOf(patterns: readonly Pattern[]): number {
    return patterns.reduce((sum, { kind }) => sum + (kinds[kind]?.cost ?? 0), 0);
  }

  /** A way on which no more than so much is lost. */
  function search(slack: number): readonly Pattern[] | undefined {
    const left = [...counts];
    const chosen: Pattern[] = [];
    const failed = new Map<string, number>();
    const go = (lost: number): boolean => {
      const first = left.findIndex((count) => count > 0);
      if (first < 0) return true;
      const key = left.join(',');
      // From here nothing was found with more to lose.
      if ((failed.get(key) ?? Number.POSITIVE_INFINITY) <= lost + EPSILON) return false;
      for (const pattern of patternsWith(first, slack - lost)) {
        steps -= 1;
        if (steps <= 0) return false;
        for (const [index, count] of pattern.counts.entries()) left[index] = (left[index] ?? 0) - count;
        chosen.push(pattern);
        if (go(lost + pattern.loss)) return true;
        chosen.pop();
        for (const [index, count] of pattern.counts.entries()) left[index] = (left[index] ?? 0) + count;
      }
      failed.set(key, lost);
      return false;
    };
    /** The patterns of what is left that hold the longest piece and lose no more than so much, those that lose least first. */
    function patternsWith(first: number, slackLeft: number): readonly (Pattern & { readonly loss: number })[] {
      const found: (Pattern & { readonly loss: number })[] = [];
      for (const [kind, { room, cost }] of kinds.entries()) {
        const own: number[] = sizes.map((_, index) => (index === first ? 1 : 0));
        const extend = (index: number, space: number, value: number) => {
          if (steps <= 0 || found.length > 4000) return;
          // Even filled with the best there is it would lose too much.
          if (cost - (value + (reach[index]?.[space] ?? 0)) > slackLeft + EPSILON) return;
          if (index === sizes.length) {
            if (cost - value <= slackLeft + EPSILON)
              found.push({ kind, counts: [...own], loss: Math.max(0, cost - value) });
            return;
          }
          const size = sizes[index] ?? 0;
          const spare = (left[index] ?? 0) - (index === first ? 1 : 0);
          const most = Math.min(spare, Math.floor(space / size));
          for (let count = most; count >= 0; count -= 1) {
            own[index] = count + (index === first ? 1 : 0);
            steps -= 0.02;
            extend(index + 1, space - count * size, value + count * (worth[index] ?? 0));
          }
          own[index] = index === first ? 1 : 0;
        };
        const space = room - (sizes[first] ?? 0);
        if (space >= 0) extend(first, space, worth[first] ?? 0);
      }
      return found.sort((a, b) => a.loss - b.loss);
    }
    return go(0) ? chosen : undefined;
  }

  /** For each size on and each room: the most that can be worth from that size on. */
  function mostWorth(room: number): readonly (Float64Array | undefined)[] {
    const tables: (Float64Array | undefined)[] = Array.from({ length: sizes.length + 1 }, () => undefined);
    tables[sizes.length] = new Float64Array(room + 1);
    for (let index = sizes.length - 1; index >= 0; index -= 1) {
      const after = tables[index + 1] ?? new Float64Array(room + 1);
      const size = sizes[index] ?? 1;
      const gain = worth[index] ?? 0;
      const most = counts[index] ?? 0;
      if (most === 0 || gain <= 0) {
        tables[index] = after;
        continue;
      }
      const own = after.slice();
      for (let at = size; at <= room; at += 1)
        for (let count = 1; count <= most && count * size <= at; count += 1)
          own[at] = Math.max(own[at] ?? 0, (after[at - count * size] ?? 0) + count * gain);
      tables[index] = own;
    }
    return tables;
  }
}
