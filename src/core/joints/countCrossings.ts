import { TOLERANCE_MM } from '../measure/unit';
import type { Point } from '../measure/vector';
import type { FaceLine, Joint } from './joint';

/** How many ends of butts meet a flat of the same face. */
export function countCrossings(joints: readonly Joint[]): number {
  const flats = joints.filter((joint) => joint.class === 'flat').flatMap(({ lines }) => lines);
  let count = 0;
  for (const joint of joints) {
    if (joint.class !== 'butt' && joint.class !== 'backedButt') continue;
    for (const butt of joint.lines)
      for (const end of [butt.from, butt.to])
        if (flats.some((flat) => flat.face === butt.face && liesOn(end, flat))) count += 1;
  }
  return count;
}

/** Seams run with the axes of their face, so the box around one is the seam. */
function liesOn([u, v]: Point, { from, to }: FaceLine): boolean {
  const inside = (value: number, a: number, b: number) =>
    value >= Math.min(a, b) - TOLERANCE_MM && value <= Math.max(a, b) + TOLERANCE_MM;
  return inside(u, from[0], to[0]) && inside(v, from[1], to[1]);
}
