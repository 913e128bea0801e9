import { TOLERANCE_MM } from '../../measure/unit';
import { EPSILON } from './achievable';
import type { CutStick } from './cutStock';

/** What is sold, mm, and what it costs. */
interface Stick {
  readonly length: number;
  readonly cost: number;
}

/** Nobody splices with less; mm. Common practice, no source. */
const LEAST_PART_MM = 300;

/**
 * Sticks with pieces spliced where that saves more than the splices cost: one stick after the other is given up, or a shorter one
 * taken, and what it held goes into what is left of the others, whole where it can and else in parts. The best such step is taken
 * until none saves any more.
 *
 * @param sold of which lengths there are any number
 * @param price of one splice
 * @returns the sticks, and how many splices were made
 */
export function spliceToSave(
  sticks: readonly CutStick[],
  sold: readonly Stick[],
  kerf: number,
  price: number,
): { readonly sticks: readonly CutStick[]; readonly splices: number } {
  let [now, splices] = [sticks, 0];
  for (;;) {
    const best = bestStep(now, sold, kerf, price);
    if (!best) return { sticks: now, splices };
    now = best.sticks;
    splices += best.splices;
  }
}

interface Step {
  readonly sticks: readonly CutStick[];
  readonly splices: number;
  readonly saves: number;
}

function bestStep(sticks: readonly CutStick[], sold: readonly Stick[], kerf: number, price: number): Step | undefined {
  let best: Step | undefined;
  for (const [index, stick] of sticks.entries()) {
    const cost = sold.find(({ length }) => length === stick.length)?.cost;
    if (stick.isOffcut || cost === undefined) continue;
    const others = sticks.toSpliced(index, 1);
    for (const instead of [undefined, ...sold.filter((one) => one.cost < cost - EPSILON)]) {
      const empty: readonly CutStick[] = instead
        ? [{ length: instead.length, isOffcut: false, cuts: [], left: instead.length }]
        : [];
      const laid = laidInto([...others, ...empty], stick.cuts, kerf);
      if (!laid) continue;
      const saves = cost - (instead?.cost ?? 0) - laid.splices * price;
      if (saves > EPSILON && saves > (best?.saves ?? 0) + EPSILON) best = { ...laid, saves };
    }
  }
  return best;
}

/** Pieces put into what is left of sticks, the longest first; undefined where they do not go in. */
function laidInto(
  sticks: readonly CutStick[],
  cuts: CutStick['cuts'],
  kerf: number,
): { readonly sticks: readonly CutStick[]; readonly splices: number } | undefined {
  const own = sticks.map((stick) => ({ ...stick, cuts: [...stick.cuts] }));
  let splices = 0;
  const put = (stick: (typeof own)[number], piece: number, length: number) => {
    stick.cuts.push({ piece, length });
    // A stick ends without a cut.
    stick.left = Math.max(0, stick.left - length - kerf);
  };
  for (const { piece, length } of cuts.toSorted((a, b) => b.length - a.length)) {
    const whole = own
      .filter(({ left }) => left >= length - TOLERANCE_MM)
      .reduce<(typeof own)[number] | undefined>(
        (least, one) => (least && least.left <= one.left ? least : one),
        undefined,
      );
    if (whole) {
      put(whole, piece, length);
      continue;
    }
    let open = length;
    for (const stick of own.toSorted((a, b) => b.left - a.left)) {
      if (open <= TOLERANCE_MM || stick.left < LEAST_PART_MM) break;
      // What would be left of the piece has to be worth a part of its own.
      const part = open - stick.left > TOLERANCE_MM ? Math.min(stick.left, open - LEAST_PART_MM) : open;
      if (part < LEAST_PART_MM - TOLERANCE_MM) break;
      if (part < open - TOLERANCE_MM) splices += 1;
      put(stick, piece, part);
      open -= part;
    }
    if (open > TOLERANCE_MM) return undefined;
  }
  return {
    sticks: own.map((stick) => ({ ...stick, cuts: stick.cuts.toSorted((a, b) => b.length - a.length) })),
    splices,
  };
}
