/**
 * The places of a straight edge that lies on a row of heights: the corners of their upper hull, from the first to the last.
 *
 * @param height of a place
 * @example upperHull((at) => [0, 2, 1, 0][at] ?? 0, 0, 3)  // [0, 1, 3]
 */
export function upperHull(height: (index: number) => number, first: number, last: number): readonly number[] {
  const hull: number[] = [];
  for (let index = first; index <= last; index += 1) {
    while (hull.length > 1) {
      const [a, b] = [hull[hull.length - 2] ?? first, hull[hull.length - 1] ?? first];
      if ((height(b) - height(a)) * (index - a) > (height(index) - height(a)) * (b - a)) break;
      hull.pop();
    }
    hull.push(index);
  }
  return hull;
}
