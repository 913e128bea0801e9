import type { HungFace } from '@/core/hang/hangRoom';
import { seamsOf } from '@/core/joints/seamsOf';
import { rectangle } from '@/core/measure/polygon';
import type { Point } from '@/core/measure/vector';
import type { Hole } from '@/core/room/faces/face';
import type { DrawnFace } from './LaidFaceDrawing';
import type { LaidLine } from './unroll';

/**
 * A face as it is drawn by itself, in its own coordinates.
 *
 * @param holeWords what an opening is called
 */
export function laidAlone({ face, boards }: HungFace, holeWords: (hole: Hole) => string): DrawnFace {
  const middle = ({ u0, u1, v0, v1 }: { u0: number; u1: number; v0: number; v1: number }): Point => [
    (u0 + u1) / 2,
    (v0 + v1) / 2,
  ];
  return {
    face,
    words: '',
    loops: face.loops,
    label: [0, 0],
    clear: 0,
    boards: boards.map(({ u0, u1, v0, v1 }) => rectangle(u0, u1, v0, v1)),
    holes: face.holes.map((hole) => ({ kind: holeWords(hole), loop: hole.loop, middle: middle(hole) })),
    covers: face.covers.map(({ cover, ...box }) => ({
      cover,
      corners: rectangle(box.u0, box.u1, box.v0, box.v1),
      middle: middle(box),
    })),
  };
}

/** The seams and butts of a face by itself. */
export const seamLines = (hung: HungFace): readonly LaidLine[] =>
  seamsOf(hung).flatMap(({ id, class: kind, tapedOnly, bevelled, lines }) =>
    lines.map(({ from, to }) => ({ joint: id, class: kind, tapedOnly, bevelled, from, to })),
  );
