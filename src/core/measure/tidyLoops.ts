import { TOLERANCE_MM } from './unit';
import { type Loop, type Point, signedArea } from './vector';

/** Vertices nearer than this to the line through their neighbours are no corners; mm. */
const FLAT_MM = 0.01;

/**
 * The boundary of loops that may touch along edges: stretches that are walked both ways cancel, what is left is linked
 * into loops again, and corners that do not turn are dropped.
 */
export function tidyLoops(loops: readonly Loop[], tolerance = TOLERANCE_MM): readonly Loop[] {
  const points: Point[] = [];
  const indexOf = (point: Point): number => {
    const found = points.findIndex(
      (other) => Math.abs(other[0] - point[0]) <= tolerance && Math.abs(other[1] - point[1]) <= tolerance,
    );
    return found >= 0 ? found : points.push(point) - 1;
  };
  const walked = loops.map((loop) => loop.map(indexOf));
  const steps = new Map<string, { from: number; to: number; net: number }>();
  for (const loop of walked) {
    loop.forEach((from, at) => {
      const stops = [from, ...pointsBetween(points, from, loop[(at + 1) % loop.length] ?? from, tolerance)];
      for (let index = 1; index < stops.length; index += 1) {
        const [a, b] = [stops[index - 1] ?? 0, stops[index] ?? 0];
        const [low, high] = a < b ? [a, b] : [b, a];
        const key = `${low} ${high}`;
        const step = steps.get(key) ?? { from: low, to: high, net: 0 };
        step.net += a < b ? 1 : -1;
        steps.set(key, step);
      }
    });
  }
  const outgoing = new Map<number, number[]>();
  for (const { from, to, net } of steps.values()) {
    if (net === 0) continue;
    const [start, end] = net > 0 ? [from, to] : [to, from];
    outgoing.set(start, [...(outgoing.get(start) ?? []), end]);
  }
  return linked(points, outgoing).map(withoutFlatCorners).filter(isArea);
}

/** The points of a list that lie on a step, in order, with its end. */
function pointsBetween(points: readonly Point[], from: number, to: number, tolerance: number): readonly number[] {
  const [a, b] = [points[from], points[to]];
  if (!a || !b || from === to) return [];
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const length = Math.sqrt(dx * dx + dy * dy);
  const on: { index: number; along: number }[] = [];
  points.forEach((point, index) => {
    const [x, y] = [point[0] - a[0], point[1] - a[1]];
    const along = (x * dx + y * dy) / length;
    if (along <= tolerance || along >= length - tolerance) return;
    if (Math.abs(x * dy - y * dx) / length <= tolerance) on.push({ index, along });
  });
  if (on.length === 0) return [to];
  on.sort((one, other) => one.along - other.along);
  return [...on.map(({ index }) => index), to];
}

/** Walks the steps into loops; where several lead on, the sharpest turn to the right keeps pieces apart that only touch. */
function linked(points: readonly Point[], outgoing: ReadonlyMap<number, number[]>): readonly Loop[] {
  const left = new Map([...outgoing].map(([from, ends]) => [from, [...ends]]));
  const loops: Loop[] = [];
  const take = (before: number | undefined, at: number): number | undefined => {
    const ends = left.get(at) ?? [];
    if (ends.length === 0) return undefined;
    const best = ends.length === 1 || before === undefined ? 0 : sharpestRight(points, before, at, ends);
    return ends.splice(best, 1)[0];
  };
  for (const start of outgoing.keys()) {
    for (;;) {
      const loop: number[] = [start];
      let before: number | undefined;
      let at = start;
      for (let next = take(before, at); next !== undefined && next !== start; next = take(before, at)) {
        loop.push(next);
        before = at;
        at = next;
      }
      if (loop.length < 3) break;
      loops.push(loop.map((index): Point => points[index] ?? [0, 0]));
    }
  }
  return loops;
}

function sharpestRight(points: readonly Point[], before: number, at: number, ends: readonly number[]): number {
  const [a, b] = [points[before], points[at]];
  if (!a || !b) return 0;
  const heading = Math.atan2(b[1] - a[1], b[0] - a[0]);
  let best = 0;
  let bestTurn = -Infinity;
  ends.forEach((end, index) => {
    const c = points[end];
    if (!c) return;
    let turn = Math.atan2(c[1] - b[1], c[0] - b[0]) - heading;
    while (turn > Math.PI) turn -= 2 * Math.PI;
    while (turn <= -Math.PI + 1e-9) turn += 2 * Math.PI;
    if (turn > bestTurn) {
      best = index;
      bestTurn = turn;
    }
  });
  return best;
}

function withoutFlatCorners(loop: Loop): Loop {
  return loop.filter((point, index) => {
    const before = loop[(index + loop.length - 1) % loop.length] ?? point;
    const after = loop[(index + 1) % loop.length] ?? point;
    const [dx, dy] = [after[0] - before[0], after[1] - before[1]];
    const length = Math.sqrt(dx * dx + dy * dy);
    return length > 0 && Math.abs((point[0] - before[0]) * dy - (point[1] - before[1]) * dx) / length > FLAT_MM;
  });
}

const isArea = (loop: Loop): boolean => loop.length > 2 && Math.abs(signedArea(loop)) > 1;
