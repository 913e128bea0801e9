const NEARLY = 1e-6;

/**
 * Returns a part as whole percent. What is not all of it is never told as 100, and what is begun never as 0.
 *
 * @param part 0–1
 * @example percent(0.998)  // 99
 */
export function percent(part: number): number {
  if (part <= NEARLY) return 0;
  if (part >= 1 - NEARLY) return 100;
  return Math.min(99, Math.max(1, Math.round(part * 100)));
}
