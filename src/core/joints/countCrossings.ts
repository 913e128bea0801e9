import { TOLERANCE_MM } from '../measure/unit';
import type { Point } from '../measure/vector';
import type { FaceLine, Joint } from './joint';

/** How many ends of butts meet a flat of the same face. */
export function countCrossings(joints: readonly Joint[]): number {
  const lines = (kind: Joint['class']) =>
    joints.filter((joint) => joint.class === kind).flatMap((joint) => joint.lines);
  const flats = lines('flat');
  return [...lines('butt'), ...lines('backedButt')].reduce((sum, butt) => {
    const sameFace = flats.filter(({ face }) => face === butt.face);
    return sum + [butt.from, butt.to].filter((end) => sameFace.some((flat) => liesOn(end, flat))).length;
  }, 0);
}

/** Seams run with the axes of their face, so the box around one is the seam. */
function liesOn([u, v]: Point, { from, to }: FaceLine): boolean {
  const inside = (value: number, a: number, b: number) =>
    value >= Math.min(a, b) - TOLERANCE_MM && value <= Math.max(a, b) + TOLERANCE_MM;
  return inside(u, from[0], to[0]) && inside(v, from[1], to[1]);
}
