import type { FaceLine, Joint, JointClass } from '@/core/joints/joint';
import type { TakeOff } from '@/core/joints/takeOff';
import { isInside } from '@/core/measure/chords';
import { rectangle } from '@/core/measure/polygon';
import type { Point } from '@/core/measure/vector';
import type { Face } from '@/core/room/faces/face';
import { faceWords } from '@/words/faceWords';
import { layFaces } from './layFaces';
import { boxAround, clearance, onPage, type Place } from './pagePlace';

/** A face laid flat on the page; mm on the page, y down. */
export interface LaidFace {
  readonly face: Face;
  readonly words: string;
  readonly place: Place;
  readonly loops: readonly (readonly Point[])[];
  /** Where its name has most room, and how much: the distance to the nearest edge. */
  readonly label: Point;
  readonly clear: number;
  readonly holes: readonly { readonly kind: string; readonly loop: readonly Point[]; readonly middle: Point }[];
  readonly covers: readonly { readonly cover: string; readonly corners: readonly Point[]; readonly middle: Point }[];
  /** Edges of boards that are not joints are drawn faintly, within the face. */
  readonly boards: readonly (readonly Point[])[];
}

/** A joint's line on the page; an edge that the unfolding tears apart is drawn on both halves. */
export interface LaidLine {
  readonly joint: string;
  readonly class: JointClass;
  readonly tapedOnly: boolean;
  /** A butt whose paper edges were cut back. */
  readonly bevelled?: true | undefined;
  readonly from: Point;
  readonly to: Point;
}

export interface PageBox {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export interface UnrolledRoom {
  readonly faces: readonly LaidFace[];
  readonly lines: readonly LaidLine[];
  /** Every joint on every face that it lies on, also where two of them fall on one line. */
  readonly sides: readonly (LaidLine & { readonly face: string })[];
  /** Letters that tie the two halves of a torn edge. */
  readonly letters: readonly { readonly letter: string; readonly at: Point }[];
  /** The names of bodies that are laid by themselves. */
  readonly captions: readonly { readonly words: string; readonly at: Point }[];
  /** The size of writing that suits the page, mm. */
  readonly text: number;
  readonly box: PageBox;
}

/** Lays a room flat, see `layFaces`, with its boards, joints and names. */
export function unrollRoom({ faces, joints }: TakeOff): UnrolledRoom {
  const { places, bodies } = layFaces(faces, joints);
  const ceilings = faces.filter(({ face }) => face.kind === 'ceiling').length;
  const laid = faces.flatMap(({ face, boards }) => {
    const place = places.get(face.id);
    const seams = joints.flatMap(({ run, lines }) => (run === 'seam' && lines[0]?.face === face.id ? lines : []));
    return place
      ? [{ ...laidFace(face, place, ceilings, seams), boards: boards.map((board) => boxOn(place, board)) }]
      : [];
  });
  const { x0, x1, y0, y1 } = boxAround(laid.flatMap(({ loops }) => loops.flat()));
  const box = { x: x0, y: y0, width: x1 - x0, height: y1 - y0 };
  const text = Math.max(box.width * 0.72, box.height) / 33;
  const captions = bodies.map(({ words, under: [x, y] }) => ({
    words,
    at: [x, y + text * 0.9] as const,
  }));
  const sides = joints.flatMap((joint) =>
    joint.lines.flatMap((line): UnrolledRoom['sides'] => {
      const place = places.get(line.face);
      if (!place) return [];
      const { id, class: kind, tapedOnly, bevelled } = joint;
      const [from, to] = [onPage(place, line.from), onPage(place, line.to)];
      return [{ joint: id, class: kind, tapedOnly, bevelled, face: line.face, from, to }];
    }),
  );
  return {
    faces: laid,
    lines: distinct(sides),
    sides,
    letters: lettersFor(joints, laid, places, text),
    text,
    box,
    captions,
  };
}

function laidFace(face: Face, place: Place, ceilings: number, seams: readonly FaceLine[]): Omit<LaidFace, 'boards'> {
  const loops = face.loops.map((loop) => loop.map((point) => onPage(place, point)));
  return {
    face,
    place,
    words: faceWords(face.place, ceilings),
    loops,
    ...roomiest(
      loops,
      seams.map(({ from, to }) => [onPage(place, from), onPage(place, to)]),
    ),
    holes: face.holes.map(({ kind, loop, u0, u1, v0, v1 }) => ({
      kind,
      loop: loop.map((point) => onPage(place, point)),
      middle: onPage(place, [(u0 + u1) / 2, (v0 + v1) / 2]),
    })),
    covers: face.covers.map(({ cover, ...box }) => ({
      cover,
      corners: boxOn(place, box),
      middle: onPage(place, [(box.u0 + box.u1) / 2, (box.v0 + box.v1) / 2]),
    })),
  };
}

const boxOn = (
  place: Place,
  { u0, u1, v0, v1 }: { readonly u0: number; readonly u1: number; readonly v0: number; readonly v1: number },
): readonly Point[] => rectangle(u0, u1, v0, v1).map((point) => onPage(place, point));

const STEPS = 12;

/** The point of a coarse grid that stands farthest from every edge; a seam may be half as near. */
function roomiest(
  loops: readonly (readonly Point[])[],
  seams: readonly (readonly Point[])[],
): { readonly label: Point; readonly clear: number } {
  const box = boxAround(loops.flat());
  let label: Point = [(box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2];
  let clear = 0;
  for (let row = 1; row < STEPS; row += 1) {
    for (let column = 1; column < STEPS; column += 1) {
      const point: Point = [box.x0 + ((box.x1 - box.x0) * column) / STEPS, box.y0 + ((box.y1 - box.y0) * row) / STEPS];
      if (!isInside(point, loops)) continue;
      const away = Math.min(clearance(loops, point), 2 * clearance(seams, point));
      if (away > clear * 1.02) {
        label = point;
        clear = away;
      }
    }
  }
  return { label, clear };
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

/** Each torn edge of a wall or ceiling gets a letter at both halves, beside the face and clear of other letters. */
function lettersFor(
  joints: readonly Joint[],
  laid: readonly Omit<LaidFace, 'boards'>[],
  places: ReadonlyMap<string, Place>,
  text: number,
) {
  const byId = new Map(laid.map((entry) => [entry.face.id, entry]));
  const isLarge = (id: string) => {
    const face = byId.get(id)?.face;
    return face?.kind === 'wall' || (face?.kind === 'ceiling' && Math.abs(face.normal[2]) > 1e-6);
  };
  const letters: { readonly letter: string; readonly at: Point }[] = [];
  let count = 0;
  for (const joint of joints) {
    const [a, b] = joint.lines;
    if (joint.run === 'seam' || joint.lines.length !== 2 || !a || !b || !isLarge(a.face) || !isLarge(b.face)) continue;
    // A short edge has no room for a letter; its neighbours tell where it belongs.
    if (joint.length < 2 * text) continue;
    const halves = [a, b].map((line) => {
      const place = places.get(line.face);
      return place && { face: line.face, from: onPage(place, line.from), to: onPage(place, line.to) };
    });
    const [one, other] = halves;
    if (!one || !other || liesTogether(one, other)) continue;
    const letter = letterOf(count);
    for (const half of [one, other])
      letters.push({ letter, at: clearPlace(half, byId.get(half.face)?.loops ?? [], letters, text) });
    count += 1;
  }
  return letters;
}

/** A … Z, then AA, AB … */
const letterOf = (index: number): string =>
  index < 26
    ? String.fromCharCode(65 + index)
    : letterOf(Math.floor(index / 26) - 1) + String.fromCharCode(65 + (index % 26));

interface Half {
  readonly from: Point;
  readonly to: Point;
}

const liesTogether = (a: Half, b: Half): boolean =>
  Math.min(
    Math.hypot(a.from[0] - b.from[0], a.from[1] - b.from[1]) + Math.hypot(a.to[0] - b.to[0], a.to[1] - b.to[1]),
    Math.hypot(a.from[0] - b.to[0], a.from[1] - b.to[1]) + Math.hypot(a.to[0] - b.from[0], a.to[1] - b.from[1]),
  ) < 4;

/** Just off the edge, outside its face, where other letters are farthest; the first place far enough from all will do. */
function clearPlace(
  { from, to }: Half,
  loops: readonly (readonly Point[])[],
  taken: readonly { readonly at: Point }[],
  text: number,
): Point {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
  const across: Point = [-(to[1] - from[1]) / length, (to[0] - from[0]) / length];
  const at = (part: number, off: number): Point => [
    from[0] + (to[0] - from[0]) * part + across[0] * off * text,
    from[1] + (to[1] - from[1]) * part + across[1] * off * text,
  ];
  const inside = (point: Point) => isInside(point, loops);
  const side = inside(at(0.5, 1)) ? -1 : 1;
  const distance = (place: Point) =>
    Math.min(...taken.map((other) => Math.hypot(place[0] - other.at[0], place[1] - other.at[1])));
  const parts = [0.78, 0.5, 0.22, 0.64, 0.36, 0.9, 0.1];
  const places = [side * 1.05, -side * 1.05].flatMap((off) => parts.map((part) => at(part, off)));
  const free = places.find((place) => distance(place) > text * 1.8);
  return free ?? places.reduce((best, place) => (distance(place) > distance(best) ? place : best));
}

/** The length of a line on the page, mm. */
export const pageLength = (from: Point, to: Point): number => Math.hypot(to[0] - from[0], to[1] - from[1]);
