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

/** First-fit from the longest into the longest sticks, each then as short as what is cut from it allows: for thousands of pieces. */
export function packRoughly(
  sizes: readonly number[],
  counts: readonly number[],
  kinds: readonly StickKind[],
  bound: number,
): Packing {
  const room = Math.max(...kinds.map((kind) => kind.room));
  const open: { left: number; counts: number[] }[] = [];
  let full = 0;
  for (const [index, size] of sizes.entries())
    for (let count = counts[index] ?? 0; count > 0; count -= 1) {
      const least = sizes.at(-1) ?? 0;
      while (full < open.length && (open[full]?.left ?? 0) < least) full += 1;
      let found: (typeof open)[number] | undefined;
      for (let at = full; at < open.length && !found; at += 1) {
        const stick = open[at];
        if (stick && stick.left >= size) found = stick;
      }
      if (!found) {
        found = { left: room, counts: sizes.map(() => 0) };
        open.push(found);
      }
      found.left -= size;
      found.counts[index] = (found.counts[index] ?? 0) + 1;
    }
  const patterns = open.map(({ left, counts: own }): Pattern => {
    const [kind] = kinds
      .map((one, index) => ({ ...one, index }))
      .filter((one) => one.room >= room - left)
      .sort((a, b) => a.cost - b.cost);
    return { kind: kind?.index ?? 0, counts: own };
  });
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
