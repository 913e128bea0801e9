import { TOLERANCE_MM } from './unit';

/** An upright box in the coordinates of a face; mm. */
export interface Box {
  readonly u0: number;
  readonly u1: number;
  readonly v0: number;
  readonly v1: number;
}

/**
 * Boxes that touch or overlap each other nowhere but along level lines, and cover the same: a row for every height at which
 * a box begins or ends.
 *
 * @example rowsOf([{ u0: 0, u1: 2, v0: 0, v1: 1 }, { u0: 2, u1: 3, v0: 0, v1: 1 }])  // [{ u0: 0, u1: 3, v0: 0, v1: 1 }]
 */
export function rowsOf(boxes: readonly Box[]): readonly Box[] {
  const stops = distinct(boxes.flatMap(({ v0, v1 }) => [v0, v1]));
  return stops.slice(1).flatMap((v1, index) => {
    const v0 = stops[index] ?? v1;
    const middle = (v0 + v1) / 2;
    return runsOf(boxes.filter((box) => box.v0 < middle && box.v1 > middle)).map(([u0, u1]) => ({ u0, u1, v0, v1 }));
  });
}

/** What a frame leaves around boxes, in rows. */
export function rowsBeside(boxes: readonly Box[], frame: Box): readonly Box[] {
  const stops = distinct([frame.v0, ...boxes.flatMap(({ v0, v1 }) => [v0, v1]), frame.v1]).filter(
    (stop) => stop >= frame.v0 && stop <= frame.v1,
  );
  return stops.slice(1).flatMap((v1, index) => {
    const v0 = stops[index] ?? v1;
    const middle = (v0 + v1) / 2;
    const runs = runsOf(boxes.filter((box) => box.v0 < middle && box.v1 > middle));
    const edges = [frame.u0, ...runs.flat(), frame.u1];
    return edges.flatMap((u0, at) => {
      const u1 = edges[at + 1] ?? u0;
      return at % 2 === 0 && u1 - u0 > TOLERANCE_MM ? [{ u0, u1, v0, v1 }] : [];
    });
  });
}

/** The stretches of a row that boxes cover, in order; what touches is one. */
function runsOf(boxes: readonly Box[]): readonly (readonly [number, number])[] {
  const runs: [number, number][] = [];
  for (const { u0, u1 } of [...boxes].sort((a, b) => a.u0 - b.u0)) {
    const last = runs.at(-1);
    if (last && u0 - last[1] <= TOLERANCE_MM) last[1] = Math.max(last[1], u1);
    else runs.push([u0, u1]);
  }
  return runs;
}

/** Numbers in order, those that are the same within the tolerance once. */
const distinct = (numbers: readonly number[]): readonly number[] =>
  [...numbers]
    .sort((a, b) => a - b)
    .filter((value, index, all) => value - (all[index - 1] ?? -Infinity) > TOLERANCE_MM);
