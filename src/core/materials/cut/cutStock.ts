import { groupBy } from '../../measure/groupBy';
import { TOLERANCE_MM } from '../../measure/unit';
import { achievable, EPSILON } from './achievable';
import { lowerBound, type Pattern } from './lowerBound';
import { packExactly } from './packExactly';
import { packGreedily, packQuickly } from './packGreedily';
import { spliceToSave } from './spliceToSave';

/** What is cut and from what; mm, costs in any one money. */
export interface CutQuestion {
  /** The lengths of the pieces. */
  readonly pieces: readonly number[];
  /** The sticks that are sold. Where nothing says what they cost they cost their length. */
  readonly sticks: readonly { readonly length: number; readonly price?: number }[];
  /** What a cut takes. */
  readonly kerf?: number;
  /** Sticks and pieces of them that lie there already: they cost nothing and are used first. */
  readonly offcuts?: readonly number[];
  /** What one splice costs: then also shorter pieces are spliced where that saves more. Undefined where nobody wants that. */
  readonly splice?: number | undefined;
  /** Lengths are whole numbers of this, pieces rounded up and sticks down: 1/16 in, or 1 mm. */
  readonly step?: number;
}

/** A stick with what is cut from it, in the order to cut, longest first. */
export interface CutStick {
  /** mm */
  readonly length: number;
  /** Whether it lay there already. */
  readonly isOffcut: boolean;
  readonly cuts: readonly {
    /** Its number among the pieces. */
    readonly piece: number;
    /** mm; of a piece that is longer than every stick, one part of it. */
    readonly length: number;
  }[];
  /** What is left of it, mm. */
  readonly left: number;
}

export interface CutList {
  readonly sticks: readonly CutStick[];
  readonly cost: number;
  /** No way of cutting costs less. */
  readonly bound: number;
  /** Pieces that are longer than every stick, and are spliced. */
  readonly spliced: readonly number[];
}

export const STEP_MM = { in: 25.4 / 16, mm: 1 } as const;

/** So many steps of the exact search; what is not decided by then is as good as was found. */
const PATIENCE = 50_000;
/** More sizes than these are taken together, a little shorter than they are, for the bound, and are not searched to the end. */
const MANY = 64;
/** More pieces than these are filled stick by stick only where patterns leave some. */
const LARGE = 600;
const MOST_ROUNDS = 800;
const FEW_ROUNDS = 250;

/**
 * The cheapest way to cut pieces from sticks of several lengths. What is longer than every stick is spliced of whole ones and a rest;
 * nothing else is. The bound is that of the linear program over all patterns (column generation), raised to the next sum that sticks
 * can cost; a list that costs as much is proven to be the cheapest.
 *
 * source: P. C. Gilmore and R. E. Gomory, A Linear Programming Approach to the Cutting-Stock Problem, 1961 (from memory)
 *
 * @example cutStock({ pieces: [80, 80, 32], sticks: [{ length: 96 }, { length: 120 }] }).cost  // 216: 80 + 32 of 120, 80 of 96
 */
export function cutStock(question: CutQuestion): CutList {
  const { splice } = question;
  const plain = cutPlainly(question);
  return splice === undefined ? plain : withSplices(plain, question, splice);
}

/** The same where shorter pieces are spliced too if that saves more than it costs; what has to be spliced costs as much. */
function withSplices(plain: CutList, { pieces, sticks: kinds, kerf = 0 }: CutQuestion, price: number): CutList {
  const sold = kinds.map(({ length, price: paid }) => ({ length, cost: paid ?? length }));
  const { sticks, splices } = spliceToSave(plain.sticks, sold, kerf, price);
  const parts = (some: readonly CutStick[]) => some.reduce((sum, { cuts }) => sum + cuts.length, 0);
  const needed = parts(plain.sticks) - pieces.length;
  const bought = sticks.filter(({ isOffcut }) => !isOffcut);
  const paid = bought.reduce((sum, { length }) => sum + (sold.find((one) => one.length === length)?.cost ?? length), 0);
  // However it is spliced, the sticks have room for all of it; then one more splice is paid at least.
  const open = pieces.reduce((sum, length) => sum + length, 0) - lengthOf(sticks.filter(({ isOffcut }) => isOffcut));
  const cheapest = Math.min(...sold.map(({ length, cost }) => cost / length));
  const cuts = groupBy(
    sticks.flatMap((stick) => stick.cuts),
    ({ piece }) => piece,
  );
  return {
    sticks,
    cost: paid + (needed + splices) * price,
    bound: Math.min(plain.bound, Math.max(0, open) * cheapest + price) + needed * price,
    spliced: [...cuts].flatMap(([piece, own]) => (own.length > 1 ? [piece] : [])).sort((one, other) => one - other),
  };
}

const lengthOf = (sticks: readonly CutStick[]): number => sticks.reduce((sum, { length }) => sum + length, 0);

function cutPlainly({ pieces, sticks, kerf = 0, offcuts = [], step = 1 }: CutQuestion): CutList {
  const lost = Math.max(0, Math.round(kerf / step));
  const stock = sticks
    .map(({ length, price }) => ({
      length,
      cost: price ?? length,
      // A stick ends without a cut: one kerf more is there than is told.
      room: Math.floor((length + TOLERANCE_MM) / step) + lost,
    }))
    .sort((a, b) => a.room - b.room);
  const longest = stock.at(-1);
  if (!longest) throw new RangeError('there are no sticks to cut from');
  const [parts, spliced] = partsOf(pieces, longest.length);
  const size = (length: number) => Math.max(1, Math.ceil((length - TOLERANCE_MM) / step)) + lost;
  const open = parts.map((part) => ({ ...part, size: size(part.length) })).sort((a, b) => b.size - a.size);
  const used: CutStick[] = [];
  const rest = fromOffcuts(open, offcuts, lost, step, used);
  const bySize = groupBy(rest, (part) => part.size);
  const sizes = [...bySize.keys()].sort((a, b) => b - a);
  const counts = sizes.map((own) => bySize.get(own)?.length ?? 0);
  if (sizes.length === 0) return { sticks: used, cost: 0, bound: 0, spliced };
  const kinds = stock.map(({ room, cost }) => ({ room, cost }));
  const costs = achievable(kinds.map(({ cost }) => cost));
  // However it is cut, the sticks have room for all of it: with many pieces that is all there is to know.
  const cheapest = Math.min(...kinds.map(({ room, cost }) => cost / room));
  let bound = costs.atLeast(cheapest * rest.reduce((sum, part) => sum + part.size, 0));
  const isMany = sizes.length > MANY;
  let best =
    isMany || rest.length > LARGE
      ? packQuickly(sizes, counts, kinds, bound)
      : packGreedily(sizes, counts, kinds, undefined, bound, 20);
  if (!best.isProven && isMany) {
    if (rest.length <= LARGE) {
      const next = packGreedily(sizes, counts, kinds, undefined, bound, 2);
      if (next.cost < best.cost - EPSILON) best = next;
    }
    const [coarse, asked] = coarser(sizes, counts);
    bound = Math.max(bound, costs.atLeast(lowerBound(coarse, asked, kinds, FEW_ROUNDS).bound));
    best = { ...best, isProven: best.cost <= bound + EPSILON };
  } else if (!best.isProven) {
    const linear = lowerBound(sizes, counts, kinds, MOST_ROUNDS);
    bound = Math.max(bound, costs.atLeast(linear.bound));
    const next = packGreedily(sizes, counts, kinds, linear, bound, rest.length > LARGE ? 1 : 40);
    if (next.cost < best.cost - EPSILON || next.isProven) best = next;
    if (best.cost <= bound + EPSILON) best = { ...best, isProven: true };
    else if (rest.length <= LARGE) best = packExactly(sizes, counts, kinds, linear, costs, best, PATIENCE);
  }
  const cut = best.patterns.map((pattern) => cutFrom(pattern, sizes, bySize, stock[pattern.kind]?.length ?? 0, kerf));
  return {
    sticks: [...used, ...cut.sort((a, b) => b.length - a.length || a.left - b.left)],
    cost: best.cost,
    bound: best.isProven ? best.cost : bound,
    spliced,
  };
}

/** Sizes made a little shorter until few are left: no way of cutting the real ones costs less than the cheapest of these. */
function coarser(sizes: readonly number[], counts: readonly number[]): readonly [readonly number[], readonly number[]] {
  const grain = Math.ceil((sizes[0] ?? 1) / MANY);
  const asked = new Map<number, number>();
  for (const [index, size] of sizes.entries()) {
    const own = Math.max(1, Math.floor(size / grain) * grain);
    asked.set(own, (asked.get(own) ?? 0) + (counts[index] ?? 0));
  }
  const coarse = [...asked.keys()].sort((a, b) => b - a);
  return [coarse, coarse.map((size) => asked.get(size) ?? 0)];
}

interface Part {
  readonly piece: number;
  readonly length: number;
}

/** Pieces no longer than a stick; what is longer is whole sticks and a rest. */
function partsOf(pieces: readonly number[], longest: number): readonly [readonly Part[], readonly number[]] {
  const spliced: number[] = [];
  const parts = pieces.flatMap((length, piece): readonly Part[] => {
    const whole = length <= longest + TOLERANCE_MM ? 0 : Math.floor((length + TOLERANCE_MM) / longest);
    const rest = length - whole * longest;
    if (whole > 0) spliced.push(piece);
    return [
      ...Array.from({ length: whole }, () => ({ piece, length: longest })),
      ...(rest > TOLERANCE_MM ? [{ piece, length: rest }] : []),
    ];
  });
  return [parts, spliced];
}

/** Cuts what fits best from what lies there already, the shortest first; tells what is left to be cut from new sticks. */
function fromOffcuts(
  open: readonly (Part & { readonly size: number })[],
  offcuts: readonly number[],
  lost: number,
  step: number,
  used: CutStick[],
): readonly (Part & { readonly size: number })[] {
  let rest = open;
  for (const length of [...offcuts].sort((a, b) => a - b)) {
    let room = Math.floor((length + TOLERANCE_MM) / step) + lost;
    const taken = new Set<Part>();
    for (const part of rest) {
      if (part.size > room) continue;
      taken.add(part);
      room -= part.size;
    }
    if (taken.size === 0) continue;
    const cuts = rest.filter((part) => taken.has(part)).map(({ piece, length: own }) => ({ piece, length: own }));
    used.push({ length, isOffcut: true, cuts, left: leftOf(length, cuts, lost * step) });
    rest = rest.filter((part) => !taken.has(part));
  }
  return rest;
}

const leftOf = (length: number, cuts: readonly { readonly length: number }[], kerf: number): number =>
  Math.max(0, length - cuts.reduce((sum, cut) => sum + cut.length + kerf, 0));

function cutFrom(
  { counts }: Pattern,
  sizes: readonly number[],
  bySize: ReadonlyMap<number, (Part & { readonly size: number })[]>,
  length: number,
  kerf: number,
): CutStick {
  const cuts: CutStick['cuts'][number][] = [];
  for (const [index, count] of counts.entries()) {
    if (count === 0) continue;
    for (const { piece, length: own } of (bySize.get(sizes[index] ?? 0) ?? []).splice(0, count))
      cuts.push({ piece, length: own });
  }
  return { length, isOffcut: false, cuts, left: leftOf(length, cuts, kerf) };
}
