/**
 * The factors by which rows of amounts come nearest to what was seen of each row, drawn toward a usual factor: as strongly as by so
 * much that was seen to be usual.
 *
 * @param rows as many amounts in each
 * @param seen of each row
 * @param weight how much the usual factor weighs, in the measure of the amounts
 * @example drawnFactors([[10, 0], [0, 10]], [12, 9], 1, 1)  // near 1.2 and 0.9
 */
export function drawnFactors(
  rows: readonly (readonly number[])[],
  seen: readonly number[],
  usual: number,
  weight: number,
): readonly number[] {
  const count = rows[0]?.length ?? 0;
  const square = weight ** 2;
  const sums = Array.from({ length: count }, (_, row) => [
    ...Array.from({ length: count }, (_own, column) =>
      rows.reduce((sum, own) => sum + (own[row] ?? 0) * (own[column] ?? 0), row === column ? square : 0),
    ),
    rows.reduce((sum, own, index) => sum + (own[row] ?? 0) * (seen[index] ?? 0), square * usual),
  ]);
  // It is positive definite: no row has to be looked for.
  for (const [step, pivot] of sums.entries())
    for (const row of sums.slice(step + 1)) {
      const part = (row[step] ?? 0) / (pivot[step] ?? 1);
      for (let column = step; column <= count; column += 1)
        row[column] = (row[column] ?? 0) - part * (pivot[column] ?? 0);
    }
  const factors: number[] = Array<number>(count).fill(0);
  for (let row = count - 1; row >= 0; row -= 1) {
    const own = sums[row] ?? [];
    const known = factors.reduce((sum, factor, column) => (column > row ? sum + factor * (own[column] ?? 0) : sum), 0);
    factors[row] = ((own[count] ?? 0) - known) / (own[row] ?? 1);
  }
  return factors;
}
