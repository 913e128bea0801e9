import { rectangle } from '../../measure/polygon';
import { type LengthUnit, MM_PER_INCH, toMm } from '../../measure/unit';
import { add, type Loop, times } from '../../measure/vector';
import type { Niche } from '../schema';
import { type Face, inRoom } from './face';
import { DOWN, rectangularFace, UP } from './makeFace';

/** A boarded shelf: framing with board above and below. Common practice, no source. */
export const SHELF_MM = 2.5 * MM_PER_INCH;

/** The boxes between a niche's shelves, in its wall's coordinates with `v` down from `top`, from the lowest up; mm. */
export function compartmentsOf(
  niche: Niche,
  top: number,
  houseUnit: LengthUnit,
): readonly { readonly u0: number; readonly u1: number; readonly v0: number; readonly v1: number }[] {
  const mm = (length: number) => toMm(length, houseUnit);
  const count = niche.shelves + 1;
  const clear = (mm(niche.height) - niche.shelves * SHELF_MM) / count;
  return Array.from({ length: count }, (_, index) => {
    const v1 = top - mm(niche.bottom) - index * (clear + SHELF_MM);
    return { u0: mm(niche.at), u1: mm(niche.at + niche.width), v0: v1 - clear, v1 };
  });
}

/** What a niche cuts out of its wall. The front of a shelf stays a strip of the wall. */
export const cutByNiche = (niche: Niche, top: number, houseUnit: LengthUnit): readonly Loop[] =>
  compartmentsOf(niche, top, houseUnit).map(({ u0, u1, v0, v1 }) => rectangle(u0, u1, v0, v1));

/** The boards inside a niche: back, sides, top and bottom of every compartment. */
export function nicheFaces(index: number, niche: Niche, wall: Face, houseUnit: LengthUnit): readonly Face[] {
  const depth = toMm(niche.depth, houseUnit);
  const outward = times(wall.normal, -1);
  return compartmentsOf(niche, wall.origin[2], houseUnit).flatMap(({ u0, u1, v0, v1 }, part) => {
    const name = niche.shelves > 0 ? `n${index}.${part}` : `n${index}`;
    const topLeft = inRoom(wall, [u0, v0]);
    const topRight = inRoom(wall, [u1, v0]);
    const bottomLeft = inRoom(wall, [u0, v1]);
    const behind = (place: typeof topLeft) => add(place, times(outward, depth));
    const [wide, tall] = [u1 - u0, v1 - v0];
    const face = (side: string, place: Parameters<typeof rectangularFace>[2], width: number, height: number) =>
      rectangularFace(`${name}.${side}`, 'niche', place, width, height);
    return [
      face('back', { origin: behind(topLeft), u: wall.u, v: DOWN, normal: wall.normal }, wide, tall),
      face('left', { origin: topLeft, u: outward, v: DOWN, normal: wall.u }, depth, tall),
      face(
        'right',
        { origin: behind(topRight), u: times(outward, -1), v: DOWN, normal: times(wall.u, -1) },
        depth,
        tall,
      ),
      face('top', { origin: topLeft, u: wall.u, v: outward, normal: DOWN }, wide, depth),
      // A niche that starts at the floor has no board below.
      ...(part === 0 && niche.bottom <= 0
        ? []
        : [face('bottom', { origin: bottomLeft, u: wall.u, v: outward, normal: UP }, wide, depth)]),
    ];
  });
}
