import type { HangPlan } from '../house/resolveHang';
import type { Span } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';
import type { EdgeKind } from './board';

/** A band of board across a face, between two long edges; `t` is the coordinate across the bands, mm. */
export interface Course {
  readonly t0: number;
  readonly t1: number;
  readonly lowEdge: EdgeKind;
  readonly highEdge: EdgeKind;
  readonly stock: HangPlan['boards'][number];
}

const MOST_LAYOUTS = 256;

/**
 * Every way to fill a breadth with courses, full boards first and a rip last. A rip keeps its taper toward the seam and
 * its cut edge to the floor or corner. A face narrower than the widest board is one strip.
 *
 * @param across the breadth of the face, mm
 * @param startHigh the first full board lies at the far side instead
 */
export function courseLayouts(
  across: Span,
  boards: HangPlan['boards'],
  startHigh = false,
): readonly (readonly Course[])[] {
  const breadth = across.to - across.from;
  const narrowestFirst = [...boards].sort((a, b) => a.width - b.width);
  const layouts: (readonly Course[])[] = [];
  const fill = (laid: readonly Course[], from: number) => {
    if (layouts.length >= MOST_LAYOUTS) return;
    const left = breadth - from;
    const rip = narrowestFirst.find(({ width }) => width >= left - TOLERANCE_MM);
    if (rip) {
      const full = Math.abs(rip.width - left) <= TOLERANCE_MM;
      layouts.push([
        ...laid,
        {
          t0: from,
          t1: breadth,
          lowEdge: laid.length > 0 || full ? 'tapered' : 'square',
          highEdge: full ? 'tapered' : 'square',
          stock: rip,
        },
      ]);
    }
    for (const stock of narrowestFirst) {
      if (stock.width < left - TOLERANCE_MM)
        fill(
          [...laid, { t0: from, t1: from + stock.width, lowEdge: 'tapered', highEdge: 'tapered', stock }],
          from + stock.width,
        );
    }
  };
  fill([], 0);
  const turned = startHigh
    ? layouts.map((layout) => layout.map((course) => flipped(course, breadth)).reverse())
    : layouts;
  return turned.map((layout) => layout.map((course) => shifted(course, across.from)));
}

const shifted = (course: Course, by: number): Course =>
  by === 0 ? course : { ...course, t0: course.t0 + by, t1: course.t1 + by };

const flipped = (course: Course, breadth: number): Course => ({
  ...course,
  t0: breadth - course.t1,
  t1: breadth - course.t0,
  lowEdge: course.highEdge,
  highEdge: course.lowEdge,
});
