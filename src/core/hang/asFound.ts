import type { Span } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';
import type { Face } from '../room/faces/face';
import type { FoundFace, HangPlan, SomeButts } from '../room/resolveHang';
import type { Board, EdgeKind } from './board';
import { boardsOf, piecesOf } from './courseChoices';
import type { Course } from './courses';
import { stretchesOf, stripOf } from './strip';

/**
 * The boards of a face as they were found on site, nothing searched. A course as broad as a board has both its tapers; a
 * rip keeps one, toward its neighbour, or away from it where it hangs the other way round.
 */
export function asFound(face: Face, { run, courses }: FoundFace, plan: HangPlan): readonly Board[] {
  const strip = stripOf({ ...face, mirrored: false }, run === 'across' ? 'u' : 'v');
  return coursesOn(strip.breadth, courses, plan).flatMap((course, index) => {
    const { butts = [], backed = false, bevelled = false } = courses[index] ?? {};
    return stretchesOf(strip, course).flatMap((stretch) => {
      const inside = butts.filter((at) => at > stretch.from + TOLERANCE_MM && at < stretch.to - TOLERANCE_MM);
      const pieces = piecesOf(
        stretch,
        [...inside].sort((a, b) => a - b),
      );
      const isBacked = (at: number) => plan.backed || isAmong(at, backed);
      return boardsOf(pieces, strip, course, index, isBacked, (at) => !isBacked(at) && isAmong(at, bevelled));
    });
  });
}

/** The bands that courses are on a face of a breadth, with their edges; what does not reach onto it is none. */
export function coursesOn(
  breadth: Span,
  courses: FoundFace['courses'],
  plan: Pick<HangPlan, 'boards'>,
): readonly Course[] {
  const on: Course[] = [];
  let from = breadth.from;
  for (const own of courses) {
    if (from >= breadth.to - TOLERANCE_MM) break;
    const to = Math.min(from + own.breadth, breadth.to);
    on.push(courseFrom({ from, to }, breadth, plan, own.flipped ?? false));
    from = to;
  }
  return on;
}

/** Whether a butt of a course is one of those of which something is said. */
export const isAmong = (at: number, some: SomeButts): boolean =>
  typeof some === 'boolean' ? some : some.some((place) => Math.abs(place - at) <= TOLERANCE_MM);

function courseFrom(
  { from: t0, to: t1 }: Span,
  { from, to }: Span,
  { boards }: Pick<HangPlan, 'boards'>,
  flipped: boolean,
): Course {
  const narrowestFirst = [...boards].sort((a, b) => a.width - b.width);
  const widest = narrowestFirst.at(-1);
  const stock = narrowestFirst.find(({ width }) => width >= t1 - t0 - TOLERANCE_MM) ?? widest;
  if (!stock) throw new RangeError('a plan has at least one board');
  const full = Math.abs(stock.width - (t1 - t0)) <= TOLERANCE_MM;
  const edge = (toSeam: boolean): EdgeKind => (full || toSeam ? 'tapered' : 'square');
  const [first, last] = [t0 <= from + TOLERANCE_MM, t1 >= to - TOLERANCE_MM];
  const [one, other] = [edge(!first), edge(first && !last)];
  return { t0, t1, lowEdge: flipped ? other : one, highEdge: flipped ? one : other, stock };
}
