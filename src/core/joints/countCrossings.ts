import { TOLERANCE_MM } from '../measure/unit';
import { isOnLine, type Joint } from './joint';

/** How many ends of butts meet a flat of the same face. */
export function countCrossings(joints: readonly Joint[]): number {
  const flats = joints.filter((joint) => joint.class === 'flat').flatMap(({ lines }) => lines);
  let count = 0;
  for (const joint of joints) {
    if (joint.class !== 'butt' && joint.class !== 'backedButt') continue;
    for (const butt of joint.lines)
      for (const end of [butt.from, butt.to])
        if (flats.some((flat) => flat.face === butt.face && isOnLine(end, flat, TOLERANCE_MM))) count += 1;
  }
  return count;
}
