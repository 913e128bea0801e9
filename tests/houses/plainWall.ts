import { cutLoops, rectangle } from '@/core/measure/polygon';
import type { Face, Hole } from '@/core/room/faces/face';
import { plainFace } from '@/core/room/faces/makeFace';

type Box = readonly [u0: number, u1: number, v0: number, v1: number];

/** An upright rectangle with windows cut out of it; mm. */
export function plainWall(width: number, height: number, windows: readonly Box[] = []): Face {
  const holes = windows.map(
    ([u0, u1, v0, v1], opening): Hole => ({
      id: `o${opening}`,
      opening,
      kind: 'window',
      u0,
      u1,
      v0,
      v1,
      loop: rectangle(u0, u1, v0, v1),
      arch: undefined,
    }),
  );
  const face = plainFace({
    id: 'w0',
    kind: 'wall',
    loops: cutLoops(
      [rectangle(0, width, 0, height)],
      holes.map(({ loop }) => loop),
    ),
    origin: [0, 0, height],
    u: [1, 0, 0],
    v: [0, 0, -1],
    normal: [0, 1, 0],
  });
  return { ...face, width, height, holes };
}
