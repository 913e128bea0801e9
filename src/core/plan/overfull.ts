import type { Scarce } from './scarce';

/** What fits, but for the last digits. */
const ENOUGH = 1e-6;

/**
 * Finds jobs that lie between two moments and need more of something than there is in between; undefined where there are none.
 *
 * Jobs come in by their soonest beginning, the last one first; what those need that end until each of the moments is kept as sums of which the
 * largest shortage is always known.
 *
 * @param heads the soonest beginning of each job
 * @param latest the latest end of each job; minutes
 */
export function overfull(
  { jobs, needOf, hasUntil }: Scarce,
  heads: Int32Array,
  latest: Float64Array,
): { readonly jobs: readonly number[]; readonly minutes: number } | undefined {
  const headOf = (job: number) => heads[job] ?? 0;
  const endOf = (job: number) => latest[job] ?? 0;
  const found = (some: readonly number[]) => ({ jobs: some, minutes: some.reduce((sum, job) => sum + needOf(job), 0) });
  const late = jobs.find((job) => endOf(job) < headOf(job));
  if (late !== undefined) return found([late]);
  const byHead = jobs.toSorted((a, b) => headOf(b) - headOf(a));
  const ends = Float64Array.from(new Set(jobs.map(endOf))).sort();
  const has = ends.map(hasUntil);
  const shortages = new Shortages(has.map((own) => -own));
  const placeOf = new Map([...ends].map((at, place) => [at, place]));
  for (let next = 0; next < byHead.length; ) {
    const from = headOf(byHead[next] ?? 0);
    for (; next < byHead.length && headOf(byHead[next] ?? 0) === from; next += 1) {
      const job = byHead[next] ?? 0;
      shortages.addFrom(placeOf.get(endOf(job)) ?? 0, needOf(job));
    }
    const worst = shortages.largestFrom(firstFrom(ends, from));
    if (worst.value + hasUntil(from) <= ENOUGH) continue;
    const until = ends[worst.place] ?? 0;
    return found(byHead.slice(0, next).filter((job) => endOf(job) <= until));
  }
  return undefined;
}

/** The place of the first of sorted moments that is not before one. */
function firstFrom(moments: Float64Array, at: number): number {
  let [low, high] = [0, moments.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((moments[middle] ?? 0) < at) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Numbers in a row to which something is added from a place on, and of which the largest from a place on is found; a tree of halves. */
class Shortages {
  private readonly size: number;
  private readonly largest: Float64Array;
  private readonly added: Float64Array;

  constructor(values: Float64Array) {
    this.size = 2 ** Math.ceil(Math.log2(Math.max(1, values.length)));
    this.largest = new Float64Array(2 * this.size).fill(Number.NEGATIVE_INFINITY);
    this.added = new Float64Array(2 * this.size);
    this.largest.set(values, this.size);
    for (let node = this.size - 1; node >= 1; node -= 1) this.sum(node);
  }

  addFrom(place: number, value: number): void {
    let node = place + this.size;
    this.add(node, value);
    for (; node > 1; node >>= 1) {
      if (node % 2 === 0) this.add(node + 1, value);
      this.sum(node >> 1);
    }
  }

  largestFrom(place: number): { readonly value: number; readonly place: number } {
    if (place >= this.size) return { value: Number.NEGATIVE_INFINITY, place };
    let [best, value] = [place + this.size, this.valueOf(place + this.size)];
    for (let node = place + this.size; node > 1; node >>= 1) {
      const other = node % 2 === 0 ? this.valueOf(node + 1) : Number.NEGATIVE_INFINITY;
      if (other > value) [best, value] = [node + 1, other];
    }
    while (best < this.size)
      best = (this.largest[2 * best] ?? 0) >= (this.largest[2 * best + 1] ?? 0) ? 2 * best : 2 * best + 1;
    return { value, place: best - this.size };
  }

  /** The largest below a node, with all that was added above it. */
  private valueOf(node: number): number {
    let value = this.largest[node] ?? 0;
    for (let above = node >> 1; above >= 1; above >>= 1) value += this.added[above] ?? 0;
    return value;
  }

  private add(node: number, value: number): void {
    this.largest[node] = (this.largest[node] ?? 0) + value;
    this.added[node] = (this.added[node] ?? 0) + value;
  }

  private sum(node: number): void {
    this.largest[node] =
      Math.max(this.largest[2 * node] ?? 0, this.largest[2 * node + 1] ?? 0) + (this.added[node] ?? 0);
  }
}
