/** A kind of stick: how many steps it has room for, and what it costs. */
export interface StickKind {
  readonly room: number;
  readonly cost: number;
}

/** What is cut from one stick: how many of each size. */
export interface Pattern {
  readonly kind: number;
  readonly counts: readonly number[];
}

export interface LinearProgram {
  /** No way of cutting costs less. */
  readonly bound: number;
  /** What a piece of each size is worth: no pattern is worth more than its stick costs. */
  readonly worth: readonly number[];
  /** How often each pattern is cut, in parts. */
  readonly patterns: readonly (Pattern & { readonly times: number })[];
}

const EPSILON = 1e-9;
const UNEVEN = 1e-6;

/**
 * The linear program of all patterns, by column generation: a knapsack of each kind of stick finds the pattern that is worth most
 * over its cost. Whatever is left when it stops, worths scaled down until no pattern is worth more than its stick are a bound.
 *
 * @param sizes in steps, the largest first
 * @param counts how many of each
 * @param rounds patterns that are brought in at most; the bound holds whenever it is stopped
 */
export function lowerBound(
  sizes: readonly number[],
  counts: readonly number[],
  kinds: readonly StickKind[],
  rounds: number,
): LinearProgram {
  const rows = sizes.length;
  // Each size by itself, from the stick that is cheapest for it.
  const basis: { pattern: Pattern; cost: number }[] = sizes.map((size, row) => {
    const [best] = kinds
      .flatMap(({ room, cost }, kind) => {
        const count = Math.min(counts[row] ?? 0, Math.floor(room / size));
        return count > 0 ? [{ kind, count, each: cost / count, cost }] : [];
      })
      .sort((a, b) => a.each - b.each);
    if (!best) throw new RangeError('a piece is longer than every stick');
    const own = sizes.map((_, index) => (index === row ? best.count : 0));
    return { pattern: { kind: best.kind, counts: own }, cost: best.cost };
  });
  const inverse = basis.map(({ pattern }, row) =>
    sizes.map((_, col) => (row === col ? 1 / (pattern.counts[row] ?? 1) : 0)),
  );
  // Asked a little unevenly, so that no two bounds are met at once and it never turns in a circle.
  const times = basis.map(
    ({ pattern }, row) => ((counts[row] ?? 0) + UNEVEN * (1 + ((row * 7919) % 997) / 997)) / (pattern.counts[row] ?? 1),
  );
  let worth: number[] = [];
  for (let round = 0; round < rounds; round += 1) {
    worth = sizes.map((_, col) => basis.reduce((sum, { cost }, row) => sum + cost * (inverse[row]?.[col] ?? 0), 0));
    const surplus = worth.findIndex((value) => value < -EPSILON);
    const found = surplus < 0 ? bestPattern(sizes, counts, kinds, worth) : undefined;
    if (surplus < 0 && (!found || found.gain <= EPSILON)) break;
    // Covering more than is asked costs nothing.
    const column = found ? found.counts : sizes.map((_, index) => (index === surplus ? -1 : 0));
    const step = inverse.map((line) => line.reduce((sum, value, col) => sum + value * (column[col] ?? 0), 0));
    let leaving = -1;
    let least = Number.POSITIVE_INFINITY;
    for (let row = 0; row < rows; row += 1) {
      const rise = step[row] ?? 0;
      if (rise <= EPSILON) continue;
      const ratio = (times[row] ?? 0) / rise;
      if (ratio < least - EPSILON) [least, leaving] = [ratio, row];
    }
    if (leaving < 0) break;
    const pivot = step[leaving] ?? 1;
    const line = (inverse[leaving] ?? []).map((value) => value / pivot);
    for (let row = 0; row < rows; row += 1) {
      const rise = step[row] ?? 0;
      if (row === leaving || rise === 0) continue;
      times[row] = (times[row] ?? 0) - rise * least;
      inverse[row] = (inverse[row] ?? []).map((value, col) => value - rise * (line[col] ?? 0));
    }
    times[leaving] = least;
    inverse[leaving] = line;
    basis[leaving] = found
      ? { pattern: { kind: found.kind, counts: found.counts }, cost: found.cost }
      : { pattern: { kind: -1, counts: column }, cost: 0 };
  }
  const safe = worth.map((value) => Math.max(0, value));
  const scale = bestPattern(sizes, counts, kinds, safe)?.ratio ?? 1;
  const scaled = safe.map((value) => value / Math.max(1, scale));
  return {
    bound: scaled.reduce((sum, value, row) => sum + value * (counts[row] ?? 0), 0),
    worth: scaled,
    patterns: basis
      .map(({ pattern }, row) => ({ ...pattern, times: times[row] ?? 0 }))
      .filter(({ kind, times: own }) => kind >= 0 && own > EPSILON),
  };
}

/** The pattern that is worth most over what its stick costs, no more of a size than is asked. */
function bestPattern(
  sizes: readonly number[],
  counts: readonly number[],
  kinds: readonly StickKind[],
  worth: readonly number[],
):
  | {
      readonly kind: number;
      readonly counts: number[];
      readonly gain: number;
      readonly ratio: number;
      readonly cost: number;
    }
  | undefined {
  const room = Math.max(...kinds.map((kind) => kind.room));
  const table = knapsack(sizes, counts, worth, room);
  let best: { kind: number; gain: number; cost: number } | undefined;
  let ratio = 0;
  for (const [kind, { room: own, cost }] of kinds.entries()) {
    const value = table.value[own] ?? 0;
    ratio = Math.max(ratio, value / cost);
    if (!best || value - cost > best.gain) best = { kind, gain: value - cost, cost };
  }
  if (!best) return undefined;
  return { ...best, ratio, counts: table.takenIn(kinds[best.kind]?.room ?? 0) };
}

/** The most that fits into every room up to some, by worth; bounded by how many there are of each size. */
function knapsack(
  sizes: readonly number[],
  counts: readonly number[],
  worth: readonly number[],
  room: number,
): { readonly value: Float64Array; readonly takenIn: (room: number) => number[] } {
  const value = new Float64Array(room + 1);
  const taken: Uint16Array[] = [];
  for (const [index, size] of sizes.entries()) {
    const own = new Uint16Array(room + 1);
    const gain = worth[index] ?? 0;
    const most = counts[index] ?? 0;
    if (gain > 0) {
      const before = value.slice();
      for (let at = size; at <= room; at += 1) {
        for (let count = 1; count <= most && count * size <= at; count += 1) {
          const sum = (before[at - count * size] ?? 0) + count * gain;
          if (sum > (value[at] ?? 0) + 1e-12) {
            value[at] = sum;
            own[at] = count;
          }
        }
      }
    }
    taken.push(own);
  }
  return {
    value,
    takenIn: (from) => {
      const found = sizes.map(() => 0);
      let left = from;
      for (let index = sizes.length - 1; index >= 0; index -= 1) {
        const count = taken[index]?.[left] ?? 0;
        found[index] = count;
        left -= count * (sizes[index] ?? 0);
      }
      return found;
    },
  };
}
