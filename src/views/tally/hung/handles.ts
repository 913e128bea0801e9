import { type ButtEnds, endsAt } from '@/core/hang/foundEdits';
import type { HungFace } from '@/core/hang/hangRoom';
import { boxOf } from '@/core/measure/polygon';
import { TOLERANCE_MM } from '@/core/measure/unit';
import type { Point } from '@/core/measure/vector';
import type { FoundFace } from '@/core/room/resolveHang';

/** What can be taken hold of on a face: a butt of a course, or the seam after one; mm. */
export interface Handle {
  readonly kind: 'butt' | 'seam';
  readonly course: number;
  /** Along the course, or across the face. */
  readonly at: number;
  /** How far it could go. */
  readonly most: number;
  /** Where it begins and ends, in the other direction. */
  readonly from: number;
  readonly to: number;
  /** How the boards end at a butt. */
  readonly ends: ButtEnds;
}

/** The butts and seams of a face as found. */
export function handlesOf(found: FoundFace, { face }: HungFace): readonly Handle[] {
  const box = boxOf(face.loops);
  const across = found.run === 'across';
  const [s0, s1] = across ? [box.u0, box.u1] : [box.v0, box.v1];
  const [t0, t1] = across ? [box.v0, box.v1] : [box.u0, box.u1];
  let start = t0;
  return found.courses.flatMap((own, course): readonly Handle[] => {
    const { breadth, butts } = own;
    const [from, to] = [start, Math.min(start + breadth, t1)];
    start = to;
    return [
      ...butts.map((at) => ({ kind: 'butt' as const, course, at, most: s1, from, to, ends: endsAt(own, at) })),
      ...(course < found.courses.length - 1
        ? [{ kind: 'seam' as const, course, at: to, most: t1, from: s0, to: s1, ends: 'plain' as const }]
        : []),
    ];
  });
}

/** Its two ends on the face. */
export function lineOf({ kind, at, from, to }: Handle, run: FoundFace['run']): readonly [Point, Point] {
  return (kind === 'butt') === (run === 'across')
    ? [
        [at, from],
        [at, to],
      ]
    : [
        [from, at],
        [to, at],
      ];
}

/** What it is called: butt 2 of course 1. */
export function handleName({ kind, course, at }: Handle, { courses }: FoundFace): string {
  if (kind === 'seam') return `Seam after course ${course + 1}`;
  const place = courses[course]?.butts.findIndex((butt) => Math.abs(butt - at) <= TOLERANCE_MM) ?? 0;
  return `Butt ${place + 1} of course ${course + 1}`;
}

/** How the boards end at a butt, in words. */
export const ENDS_WORDS: Readonly<Record<ButtEnds, string>> = {
  plain: 'as cut',
  backed: 'over a backer',
  bevelled: 'bevelled',
};

/** Butts are known by their place, seams by their course. */
export const isSameHandle = (a: Handle, b: Handle): boolean =>
  a.kind === b.kind && a.course === b.course && (a.kind === 'seam' || Math.abs(a.at - b.at) <= TOLERANCE_MM);
