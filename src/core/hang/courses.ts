import type { Span } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';
import type { HangPlan } from '../room/resolveHang';
import type { EdgeKind } from './board';

/** A band of board across a face, between two long edges; `t` is the coordinate across the bands, mm. */
export interface Course {
  readonly t0: number;
  readonly t1: number;
  readonly lowEdge: EdgeKind;
  readonly highEdge: EdgeKind;
  readonly stock: HangPlan['boards'][number];
}

/** Courses by the line at which they start; the last line has none. Every way from the first line to the last fills the face. */
export interface CourseNet {
  /** The lines, in order across the face; mm. */
  readonly lines: readonly number[];
  /** From each line, the courses that may lie there, and the line that each reaches. */
  readonly from: readonly (readonly { readonly course: Course; readonly to: number }[])[];
}

/**
 * Every way to fill a breadth with courses: full boards of any stock, and a rip at the end, or at the start where that is
 * asked. A rip keeps its taper toward the seam and its cut edge to the floor or corner; it is cut from the narrowest board
 * that holds it. A face narrower than the widest board may be one strip.
 *
 * @param across the breadth of the face, mm
 * @param firstRip the breadth of a rip that the face starts with; 0 for none
 */
export function courseNet(across: Span, boards: HangPlan['boards'], firstRip = 0): CourseNet {
  const narrowestFirst = [...boards].sort((a, b) => a.width - b.width);
  const end = across.to - across.from;
  const lines: number[] = [];
  const steps: { readonly at: number; readonly to: number; readonly course: Course }[] = [];
  const waiting: number[] = [];
  const lineAt = (at: number): number => {
    const known = lines.findIndex((line) => Math.abs(line - at) <= TOLERANCE_MM);
    if (known >= 0) return known;
    waiting.push(lines.length);
    return lines.push(at) - 1;
  };
  const add = (
    from: number,
    at: number,
    breadth: number,
    stock: Course['stock'],
    lowEdge: EdgeKind,
    highEdge: EdgeKind,
  ) => {
    const t0 = at + across.from;
    steps.push({ at: from, to: lineAt(at + breadth), course: { t0, t1: t0 + breadth, lowEdge, highEdge, stock } });
  };
  lineAt(0);
  while (waiting.length > 0) {
    const from = waiting.shift() ?? 0;
    const at = lines[from] ?? 0;
    const left = end - at;
    if (left <= TOLERANCE_MM) continue;
    if (at === 0 && firstRip > 0) {
      const stock = narrowestFirst.find(({ width }) => width >= firstRip - TOLERANCE_MM);
      if (stock && firstRip < left - TOLERANCE_MM) add(from, at, firstRip, stock, 'square', 'tapered');
      continue;
    }
    const rip = narrowestFirst.find(({ width }) => width >= left - TOLERANCE_MM);
    if (rip) {
      const full = Math.abs(rip.width - left) <= TOLERANCE_MM;
      add(from, at, left, rip, at > 0 || full ? 'tapered' : 'square', full ? 'tapered' : 'square');
    }
    for (const stock of narrowestFirst)
      if (stock.width < left - TOLERANCE_MM) add(from, at, stock.width, stock, 'tapered', 'tapered');
  }
  return sorted(lines, steps, across.from);
}

function sorted(
  lines: readonly number[],
  steps: readonly { readonly at: number; readonly to: number; readonly course: Course }[],
  start: number,
): CourseNet {
  const order = lines.map((_, index) => index).sort((a, b) => (lines[a] ?? 0) - (lines[b] ?? 0));
  const place = new Map(order.map((line, index) => [line, index]));
  const from = order.map((line) =>
    steps.filter(({ at }) => at === line).map(({ to, course }) => ({ course, to: place.get(to) ?? 0 })),
  );
  return { lines: order.map((line) => start + (lines[line] ?? 0)), from };
}

/** A net seen from the other side: what started a face ends it. */
export function turnedNet({ lines, from }: CourseNet, across: Span): CourseNet {
  const last = lines.length - 1;
  const flip = (t: number) => across.from + across.to - t;
  const turned: { course: Course; to: number }[][] = lines.map(() => []);
  from.forEach((courses, line) => {
    for (const { course, to } of courses)
      turned[last - to]?.push({
        to: last - line,
        course: {
          ...course,
          t0: flip(course.t1),
          t1: flip(course.t0),
          lowEdge: course.highEdge,
          highEdge: course.lowEdge,
        },
      });
  });
  return { lines: lines.map(flip).reverse(), from: turned };
}
