import { TOLERANCE_MM } from '../measure/unit';

/** A stick with the pieces that are cut from it, longest first; mm. */
export interface CutStick {
  readonly cuts: readonly number[];
  readonly left: number;
}

/**
 * Cuts pieces from sticks of one length, first-fit from the longest: a piece goes into the first stick that still holds it.
 * What is longer than a stick is spliced: whole sticks and a rest.
 *
 * @param pieces mm
 * @param stick the length of a stick, mm
 * @example cutSticks([80, 80, 32], 120).length  // 2: 80 + 32, and 80
 */
export function cutSticks(pieces: readonly number[], stick: number): readonly CutStick[] {
  const parts = pieces.flatMap((length) => {
    const whole = Math.floor((length + TOLERANCE_MM) / stick);
    const rest = length - whole * stick;
    return [...Array.from({ length: whole }, () => stick), ...(rest > TOLERANCE_MM ? [rest] : [])];
  });
  const sticks: { cuts: number[]; left: number }[] = [];
  for (const part of parts.sort((a, b) => b - a)) {
    const found = sticks.find(({ left }) => left >= part - TOLERANCE_MM);
    if (!found) sticks.push({ cuts: [part], left: stick - part });
    else {
      found.cuts.push(part);
      found.left -= part;
    }
  }
  return sticks;
}
