/** Pieces and sticks in whole steps; what a stick costs, and what a cut takes. */
export interface Instance {
  readonly pieces: readonly number[];
  readonly sticks: readonly { readonly length: number; readonly price: number }[];
  readonly kerf: number;
}

/** The integer program: marks on a stick from 0 to its end, a kerf beyond the end for the last cut. */
export function leastCostProgram({ pieces, sticks, kerf }: Instance): string {
  const longest = Math.max(...sticks.map(({ length }) => length)) + kerf;
  const sizes = [...new Set(pieces)].sort((a, b) => b - a);
  const flow: string[][] = Array.from({ length: longest + 1 }, () => []);
  const cover = new Map<number, string[]>(sizes.map((size) => [size, []]));
  const names: string[] = [];
  const arc = (name: string, from: number, to: number) => {
    names.push(name);
    flow[from]?.push(`- ${name}`);
    flow[to]?.push(`+ ${name}`);
  };
  for (const size of sizes)
    for (let from = 0; from + size + kerf <= longest; from += 1) {
      arc(`x_${size}_${from}`, from, from + size + kerf);
      cover.get(size)?.push(`x_${size}_${from}`);
    }
  for (let from = 0; from < longest; from += 1) arc(`w_${from}`, from, from + 1);
  for (const [index, { length }] of sticks.entries()) arc(`z_${index}`, length + kerf, 0);
  return [
    'Minimize',
    ` cost: ${sticks.map(({ price }, index) => `${price} z_${index}`).join(' + ')}`,
    'Subject To',
    ...flow.map((terms, mark) => ` f_${mark}: ${terms.join(' ')} = 0`),
    ...sizes.map(
      (size) => ` d_${size}: ${(cover.get(size) ?? []).join(' + ')} = ${pieces.filter((own) => own === size).length}`,
    ),
    'General',
    ` ${names.join(' ')}`,
    'End',
  ].join('\n');
}
