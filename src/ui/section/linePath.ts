type Place = readonly [x: number, y: number];

/**
 * A line through places as a path, to a tenth: what lies on the way between its neighbours is left out, for a page holds
 * hundreds of them.
 *
 * @example linePath([[0, 0], [10, 0.04], [20, 0], [20, 5.5]])  // 'M0 0L20 0L20 5.5'
 */
export function linePath(places: readonly Place[]): string {
  const kept: Place[] = [];
  for (const [x, y] of places) {
    const place: Place = [Math.round(x * 10), Math.round(y * 10)];
    const [before, last] = [kept.at(-2), kept.at(-1)];
    if (last && last[0] === place[0] && last[1] === place[1]) continue;
    if (before && last && isOnTheWay(before, last, place)) kept.pop();
    kept.push(place);
  }
  return kept.length === 0 ? '' : `M${kept.map(([x, y]) => `${x / 10} ${y / 10}`).join('L')}`;
}

/** Whether a place lies on the straight way from one to another, and not beyond. */
const isOnTheWay = ([ax, ay]: Place, [x, y]: Place, [bx, by]: Place): boolean =>
  (x - ax) * (by - y) === (y - ay) * (bx - x) && (x - ax) * (bx - x) + (y - ay) * (by - y) >= 0;
