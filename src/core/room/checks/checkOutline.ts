import { formatLength } from '../../measure/formatLength';
import { type LengthUnit, TOLERANCE_MM } from '../../measure/unit';
import type { Loop, Point } from '../../measure/vector';
import type { Problem } from '../problem';
import type { Room } from '../schema';
import { isClockwise, type Wall, wallsOf } from '../walls';

const SHORTEST_WALL_MM = 30;
const LONGEST_WALL_MM = 60_000;

/** Whether an outline is a room: walls that do not cross, run clockwise on the page and have lengths that walls have. */
export function checkOutline(outline: Room['outline'], unit: LengthUnit): readonly Problem[] {
  const at = (reason: string): readonly Problem[] => [{ path: 'outline', reason }];
  const walls = wallsOf(outline, unit);
  if (walls.length < 3) return at('encloses nothing: a room has at least three walls');
  const crossed = crossingIn(walls.map(({ from }) => from));
  if (crossed) return at(`crosses itself: walls ${crossed[0] + 1} and ${crossed[1] + 1} meet where no corner is`);
  if (!isClockwise(outline))
    return [
      {
        path: 'outline',
        reason: 'runs counter-clockwise on the page (y points down); turn it round',
        mend: 'reverse-outline',
      },
    ];
  const bad = walls.find(({ length }) => length < SHORTEST_WALL_MM || length > LONGEST_WALL_MM);
  return bad ? at(`makes wall ${bad.index + 1} ${formatLength(bad.length, unit)} long, which no wall is`) : [];
}

/** The first two steps of a loop that cross or touch without being neighbours, or neighbours that fold back. */
export function crossingIn(loop: Loop): readonly [number, number] | undefined {
  const step = (index: number): readonly [Point, Point] => [
    loop[index % loop.length] ?? [0, 0],
    loop[(index + 1) % loop.length] ?? [0, 0],
  ];
  for (let a = 0; a < loop.length; a += 1) {
    for (let b = a + 1; b < loop.length; b += 1) {
      const neighbours = b === a + 1 || (a === 0 && b === loop.length - 1);
      const meets = neighbours ? foldsBack(step(a), step(b), b === a + 1) : stepsMeet(step(a), step(b));
      if (meets) return [a, b];
    }
  }
  return undefined;
}

/** Whether two steps share a point; mm. */
export function stepsMeet([a, b]: readonly [Point, Point], [c, d]: readonly [Point, Point]): boolean {
  const side = (p: Point, q: Point, r: Point): number => {
    const value =
      ((q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0])) / Math.hypot(q[0] - p[0], q[1] - p[1]);
    return Math.abs(value) <= TOLERANCE_MM ? 0 : Math.sign(value);
  };
  const apart = (low: number, high: number, other: number, another: number) =>
    Math.min(low, high) > Math.max(other, another) + TOLERANCE_MM ||
    Math.min(other, another) > Math.max(low, high) + TOLERANCE_MM;
  if (apart(a[0], b[0], c[0], d[0]) || apart(a[1], b[1], c[1], d[1])) return false;
  return side(a, b, c) * side(a, b, d) <= 0 && side(c, d, a) * side(c, d, b) <= 0;
}

function foldsBack(first: readonly [Point, Point], second: readonly [Point, Point], inOrder: boolean): boolean {
  const [before, after] = inOrder ? [first, second] : [second, first];
  const [dx, dy] = [before[1][0] - before[0][0], before[1][1] - before[0][1]];
  const [ex, ey] = [after[1][0] - after[0][0], after[1][1] - after[0][1]];
  const turn = Math.abs(dx * ey - dy * ex) / (Math.hypot(dx, dy) * Math.hypot(ex, ey));
  return turn < Math.sin(Math.PI / 180) && dx * ex + dy * ey < 0;
}

/** The name of a wall as a lead counts them. */
export const wallName = ({ index }: Pick<Wall, 'index'>): string => `wall ${index + 1}`;
