import { boxOf, rectangle } from '../../measure/polygon';
import type { Loop, Point, Vector } from '../../measure/vector';
import { unit } from '../../measure/vector';
import type { Face } from './face';
import { profileAlong, type Slope } from './roof';

export const DOWN: Vector = [0, 0, -1];
export const UP: Vector = [0, 0, 1];

/** A face without openings or covers. */
export function plainFace(
  face: Pick<Face, 'id' | 'kind' | 'loops' | 'origin' | 'u' | 'v' | 'normal'> & Partial<Face>,
): Face {
  const box = boxOf(face.loops);
  return {
    width: Math.max(0, box.u1),
    height: Math.max(0, box.v1),
    holes: [],
    covers: [],
    gaps: [],
    existing: false,
    mirrored: false,
    bent: undefined,
    place: face.id,
    ...face,
  };
}

/** A rectangular face. */
export const rectangularFace = (
  id: string,
  kind: Face['kind'],
  place: Pick<Face, 'origin' | 'u' | 'v' | 'normal'>,
  width: number,
  height: number,
): Face => plainFace({ id, kind, loops: [rectangle(0, width, 0, height)], ...place });

/**
 * An upright face between two points of the plan, left to right as seen from the room, from `bottom` up to the ceiling
 * (`profile`) or to a level top; mm.
 */
export function uprightFace({
  id,
  kind,
  from,
  to,
  bottom,
  profile,
  top,
}: {
  readonly id: string;
  readonly kind: Face['kind'];
  readonly from: Point;
  readonly to: Point;
  readonly bottom: number;
  readonly profile: readonly Slope[] | undefined;
  readonly top?: number;
}): Face {
  const along = unit([to[0] - from[0], to[1] - from[1], 0]);
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const upper = profile
    ? profileAlong(profile, from, to)
    : [
        { s: 0, z: top ?? bottom },
        { s: length, z: top ?? bottom },
      ];
  const highest = Math.max(...upper.map(({ z }) => z));
  const loop: Loop = [
    ...upper.map(({ s, z }): Point => [s, highest - z]),
    [length, highest - bottom],
    [0, highest - bottom],
  ];
  return plainFace({
    id,
    kind,
    loops: [loop.filter((point, index) => !samePoint(point, loop[(index + 1) % loop.length] ?? [NaN, NaN]))],
    origin: [from[0], from[1], highest],
    u: along,
    v: DOWN,
    normal: [-along[1], along[0], 0],
  });
}

const samePoint = (a: Point, b: Point): boolean => Math.hypot(a[0] - b[0], a[1] - b[1]) < 1e-6;
