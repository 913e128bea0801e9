import { EPSILON } from './achievable';
import type { LinearProgram, Pattern, StickKind } from './lowerBound';

/** A way to cut everything. */
export interface Packing {
  readonly patterns: readonly Pattern[];
  readonly cost: number;
  /** No way costs less. */
  readonly isProven: boolean;
}

/**
 * Ways of cutting that are found fast: whole patterns of the linear program first, then stick by stick the fullest one for the longest
 * piece that is left, in many orders.
 *
 * @param linear the linear program, where it was solved: as many of its patterns as are whole are cut first
 * @param bound it stops where a way costs no more
 */
export function packGreedily(
  sizes: readonly number[],
  counts: readonly number[],
  kinds: readonly StickKind[],
  linear: Pick<LinearProgram, 'patterns'> | undefined,
  bound: number,
  tries: number,
): Packing {
  let best: Packing | undefined;
  let seed = 1;
  const random = () => {
    seed = (seed * 48_271) % 2_147_483_647;
    return seed / 2_147_483_647;
  };
  for (let attempt = 0; attempt < tries; attempt += 1) {
    const left = [...counts];
    const patterns: Pattern[] = [];
    // Of the linear program's patterns as many as are whole, in later tries some of them fewer.
    if (attempt % 3 !== 2)
      for (const { kind, counts: own, times } of linear?.patterns ?? []) {
        let whole = Math.floor(times + 1e-6) - (attempt > 2 && random() < 0.4 ? 1 : 0);
        while (whole > 0 && own.every((count, index) => count <= (left[index] ?? 0))) {
          for (const [index, count] of own.entries()) left[index] = (left[index] ?? 0) - count;
          patterns.push({ kind, counts: own });
          whole -= 1;
        }
      }
    const shuffle = attempt === 0 ? 0 : 0.35;
    for (let first = nextOf(left); first >= 0; first = nextOf(left)) {
      const pattern = fullest(sizes, left, kinds, first, shuffle, random);
      for (const [index, count] of pattern.counts.entries()) left[index] = (left[index] ?? 0) - count;
      patterns.push(pattern);
    }
    const cost = patterns.reduce((sum, { kind }) => sum + (kinds[kind]?.cost ?? 0), 0);
    if (!best || cost < best.cost - EPSILON) best = { patterns, cost, isProven: cost <= bound + EPSILON };
    if (best.isProven) break;
  }
  if (!best) throw new RangeError('there is nothing to cut');
  return best;
}

/** So many of the longest that still fit are tried beside the first piece of a stick. */
const LOOKED_AT = 40;

/**
 * Stick by stick from the longest piece: beside it the two others that fill some kind of stick best, and whatever fits after them. For
 * thousands of pieces of hundreds of lengths.
 */
export function packQuickly(
  sizes: readonly number[],
  counts: readonly number[],
  kinds: readonly StickKind[],
  bound: number,
): Packing {
  const left = [...counts];
  /** The next size at or after one, the longest first, of which some are left. */
  const next = sizes.map((_, index) => index);
  const from = (index: number): number => {
    let at = index;
    while (at < sizes.length && (left[at] ?? 0) === 0) at = Math.max(at + 1, next[at] ?? at + 1);
    if (index < sizes.length) next[index] = at;
    return at;
  };
  /** The longest size that fits. */
  const fitting = (room: number): number => {
    let [low, high] = [0, sizes.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((sizes[middle] ?? 0) > room) low = middle + 1;
      else high = middle;
    }
    return from(low);
  };
  const patterns: Pattern[] = [];
  for (let first = from(0); first < sizes.length; first = from(0)) {
    let best: { kind: number; own: number[]; rate: number } | undefined;
    left[first] = (left[first] ?? 0) - 1;
    for (const [kind, { room, cost }] of kinds.entries()) {
      const space = room - (sizes[first] ?? 0);
      if (space < 0) continue;
      let [fill, own]: [number, number[]] = [0, []];
      for (let one = fitting(space), looked = 0; one < sizes.length && looked < LOOKED_AT; looked += 1) {
        const size = sizes[one] ?? 0;
        const beside = fitting(space - size);
        const other = beside === one && (left[one] ?? 0) < 2 ? from(one + 1) : beside;
        const sum = size + (sizes[other] ?? 0);
        if (sum > fill) [fill, own] = [sum, other < sizes.length ? [one, other] : [one]];
        if (fill === space) break;
        one = from(one + 1);
      }
      const rate = cost / (room - space + fill);
      if (!best || rate < best.rate) best = { kind, own, rate };
    }
    if (!best) throw new RangeError('a piece is longer than every stick');
    const pattern = sizes.map((_, index) => (index === first ? 1 : 0) as number);
    let space = (kinds[best.kind]?.room ?? 0) - (sizes[first] ?? 0);
    const take = (index: number) => {
      left[index] = (left[index] ?? 0) - 1;
      pattern[index] = (pattern[index] ?? 0) + 1;
      space -= sizes[index] ?? 0;
    };
    for (const index of best.own) take(index);
    for (let more = fitting(space); more < sizes.length; more = fitting(space)) take(more);
    patterns.push({ kind: best.kind, counts: pattern });
  }
  const cost = patterns.reduce((sum, { kind }) => sum + (kinds[kind]?.cost ?? 0), 0);
  return { patterns, cost, isProven: cost <= bound + EPSILON };
}

const nextOf = (left: readonly number[]): number => left.findIndex((count) => count > 0);

/** The stick that costs least for what is cut from it, the longest piece that is left among that. */
function fullest(
  sizes: readonly number[],
  left: readonly number[],
  kinds: readonly StickKind[],
  first: number,
  shuffle: number,
  random: () => number,
): Pattern {
  let best: { pattern: Pattern; rate: number } | undefined;
  for (const [kind, { room, cost }] of kinds.entries()) {
    const size = sizes[first] ?? 0;
    if (size > room) continue;
    const counts: number[] = sizes.map((_, index) => (index === first ? 1 : 0));
    const spare = left.map((count, index) => count - (counts[index] ?? 0));
    const filled = fill(sizes, spare, room - size);
    for (const [index, count] of filled.counts.entries()) counts[index] = (counts[index] ?? 0) + count;
    const rate = (cost / (size + filled.used)) * (1 + shuffle * 0.1 * random());
    if (!best || rate < best.rate) best = { pattern: { kind, counts }, rate };
  }
  if (!best) throw new RangeError('a piece is longer than every stick');
  return best.pattern;
}

/** What fills a room best: the largest sum of sizes that fits. */
function fill(
  sizes: readonly number[],
  left: readonly number[],
  room: number,
): { readonly counts: readonly number[]; readonly used: number } {
  const by = new Int16Array(room + 1).fill(-1);
  const used = new Int32Array(room + 1);
  const reach = new Uint8Array(room + 1);
  reach[0] = 1;
  for (const [index, size] of sizes.entries()) {
    const most = left[index] ?? 0;
    if (most <= 0 || size > room) continue;
    if (reach[room]) break;
    used.fill(0);
    for (let at = size; at <= room; at += 1) {
      if (reach[at] || !reach[at - size] || (used[at - size] ?? 0) >= most) continue;
      reach[at] = 1;
      used[at] = (used[at - size] ?? 0) + 1;
      by[at] = index;
    }
  }
  let at = room;
  while (at > 0 && !reach[at]) at -= 1;
  const total = at;
  const counts = sizes.map(() => 0);
  while (at > 0) {
    const index = by[at] ?? -1;
    if (index < 0) break;
    counts[index] = (counts[index] ?? 0) + 1;
    at -= sizes[index] ?? 0;
  }
  return { counts, used: total };
}
