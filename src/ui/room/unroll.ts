import type { Face } from '@/core/house/face';
import type { Joint, JointClass } from '@/core/joints/joint';
import type { TakeOff } from '@/core/joints/takeOff';
import { add, dot, minus, type Point, times, type Vector } from '@/core/measure/vector';

/** A face laid flat on the page; mm on the page, y down. */
export interface LaidFace {
  readonly face: Face;
  readonly corners: readonly Point[];
  readonly middle: Point;
  readonly holes: readonly { readonly kind: string; readonly corners: readonly Point[]; readonly middle: Point }[];
  /** Edges of boards that are not joints are drawn faintly. */
  readonly boards: readonly (readonly Point[])[];
}

/** A joint's line on the page; an upright that the unfolding tears apart is drawn on both halves. */
export interface LaidLine {
  readonly joint: string;
  readonly class: JointClass;
  readonly from: Point;
  readonly to: Point;
}

export interface UnrolledRoom {
  readonly faces: readonly LaidFace[];
  readonly lines: readonly LaidLine[];
  /** Letters that tie the two halves of a torn upright. */
  readonly letters: readonly { readonly letter: string; readonly at: Point }[];
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

/**
 * Lays a room flat: the ceiling (or, without one, its outline) in the middle as on the plan, each wall folded out from
 * its top edge. Returns are not laid; their beads show on the wall.
 */
export function unrollRoom({ faces, joints }: TakeOff): UnrolledRoom {
  const laid = faces.flatMap(({ face, boards }) => {
    const onPage = pageOf(face);
    if (!onPage) return [];
    const rectangle = (u0: number, u1: number, v0: number, v1: number): readonly Point[] => [
      onPage([u0, v0]),
      onPage([u1, v0]),
      onPage([u1, v1]),
      onPage([u0, v1]),
    ];
    return [
      {
        face,
        onPage,
        corners: rectangle(0, face.width, 0, face.height),
        middle: onPage([face.width / 2, face.height / 2]),
        holes: face.holes.map(({ kind, u0, u1, v0, v1 }) => ({
          kind,
          corners: rectangle(u0, u1, v0, v1),
          middle: onPage([(u0 + u1) / 2, (v0 + v1) / 2]),
        })),
        boards: boards.map(({ u0, u1, v0, v1 }) => rectangle(u0, u1, v0, v1)),
      },
    ];
  });
  const byId = new Map(laid.map((entry) => [entry.face.id, entry]));
  const lines = joints.flatMap((joint) =>
    joint.lines.flatMap((line) => {
      const entry = byId.get(line.face);
      return entry
        ? [{ joint: joint.id, class: joint.class, from: entry.onPage(line.from), to: entry.onPage(line.to) }]
        : [];
    }),
  );
  const points = laid.flatMap(({ corners }) => corners);
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return {
    faces: laid.map(({ onPage: _onPage, ...face }) => face),
    lines: distinct(lines),
    letters: lettersFor(joints, byId),
    box: { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y },
  };
}

function pageOf(face: Face): ((point: Point) => Point) | undefined {
  if (face.kind === 'return') return undefined;
  // Walls hang from their top edge on the plan and are folded outward.
  const down = face.kind === 'wall' ? times(face.normal, -1) : face.v;
  return ([u, v]) => {
    const place = add(face.origin, add(times(face.u, u), times(down, v)));
    return [place[0], place[1]];
  };
}

/** Where both halves fall on one line of the page, as on a fold, it is drawn once. */
function distinct(lines: readonly LaidLine[]): readonly LaidLine[] {
  const seen = new Set<string>();
  return lines.filter(({ joint, from, to }) => {
    const ends = [from, to].map(([x, y]) => `${Math.round(x)},${Math.round(y)}`).sort();
    const key = `${joint} ${ends.join(' ')}`;
    return !seen.has(key) && seen.add(key);
  });
}

function lettersFor(
  joints: readonly Joint[],
  faces: ReadonlyMap<string, { readonly face: Face; readonly onPage: (point: Point) => Point }>,
) {
  const torn = joints.filter(
    (joint) => joint.run === 'upright' && joint.lines.every(({ face }) => faces.get(face)?.face.kind === 'wall'),
  );
  return torn.flatMap((joint, index) => {
    const letter = String.fromCharCode(65 + (index % 26));
    return joint.lines.flatMap((line) => {
      const entry = faces.get(line.face);
      const other = joint.lines.find(({ face }) => face !== line.face);
      const otherFace = other && faces.get(other.face)?.face;
      if (!entry || !otherFace) return [];
      const low = entry.onPage([line.from[0], Math.max(line.from[1], line.to[1]) * 0.82]);
      const aside = awayFrom(entry.face, line.from[0]);
      return [{ letter, at: [low[0] + aside[0], low[1] + aside[1]] as const }];
    });
  });
}

const LETTER_MM = 190;

/** A step off the edge of a wall, outward along it. */
function awayFrom(face: Face, u: number): Point {
  const sign = u < face.width / 2 ? -1 : 1;
  const step: Vector = times(face.u, sign * LETTER_MM);
  return [step[0], step[1]];
}

/** The length of a line on the page, mm. */
export const pageLength = (from: Point, to: Point): number => {
  const step = minus([to[0], to[1], 0], [from[0], from[1], 0]);
  return Math.sqrt(dot(step, step));
};
