/** More is another day's work. */
const DAY_MINUTES = 1440;

/**
 * The minutes that somebody typed; undefined where nothing was typed, `wrong` where it is no time of a day's length.
 *
 * @example minutesTyped('7,5')  // 7.5
 */
export function minutesTyped(typed: string): number | 'wrong' | undefined {
  if (typed.trim() === '') return undefined;
  const minutes = Number(typed.replace(',', '.'));
  return minutes >= 0 && minutes <= DAY_MINUTES ? minutes : 'wrong';
}
