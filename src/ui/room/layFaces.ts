import type { HungFace } from '@/core/hang/hangRoom';
import type { Joint } from '@/core/joints/joint';
import type { Point } from '@/core/measure/vector';
import { areaOf, type Face } from '@/core/room/faces/face';
import { bodyOf, faceWords } from '@/words/faceWords';
import { boxAround, foldedBeside, type HingeSide, onPage, overlap, type Place } from './pagePlace';

/** An edge along which one face may be folded out of another. */
interface Hinge {
  readonly length: number;
  readonly run: Joint['run'];
  readonly sides: Readonly<Record<string, HingeSide>>;
}

/** Where the faces lie, and where the name of a body that was laid by itself belongs: under its middle. */
export interface LaidOut {
  readonly places: ReadonlyMap<string, Place>;
  readonly bodies: readonly { readonly words: string; readonly under: Point }[];
}

const GAP_MM = 420;
/** Faces folded about a level or an upright edge stand straight on the page; about a slope they lean. */
const RUN_ORDER: readonly Joint['run'][] = ['level', 'upright', 'slope', 'arch', 'seam'];

/**
 * Lays the faces of a room on the page: the largest ceiling as it lies on the plan, everything else folded out of what
 * lies already, along its longest edge first. What would cover another face is torn off and laid below, and so are
 * soffits, niches and columns, each folded flat by itself. Returns are left out: their beads show on the wall.
 */
export function layFaces(hung: readonly HungFace[], joints: readonly Joint[]): LaidOut {
  const faces = hung.map(({ face }) => face).filter(({ kind, loops }) => kind !== 'return' && loops.length > 0);
  const hinges = hingesOf(faces, joints);
  const main = faces.filter((face) => (face.kind === 'wall' || face.kind === 'ceiling') && !isTraySide(face));
  const groups = new Map<string, Face[]>();
  for (const face of faces) {
    const body = bodyOf(face.place) ?? (isTraySide(face) ? TRAY_SIDES : undefined);
    if (body) groups.set(body, [...(groups.get(body) ?? []), face]);
  }
  const places = new Map<string, Place>();
  const ceilings = main.filter(({ kind }) => kind === 'ceiling');
  const level = ceilings.filter(({ normal }) => Math.abs(normal[2]) > 1 - 1e-6);
  const root = largest(ceilings);
  if (root) {
    // Level ceilings lie beside each other on the plan already: a tray's inner one within its rim.
    for (const face of level.length > 0 ? level : [root]) places.set(face.id, planPlace(face));
    foldOut(main, hinges, places);
  } else for (const face of main) places.set(face.id, besidePlan(face));
  const left = main.filter(({ id }) => !places.has(id)).map((face) => [face]);
  return { places, bodies: layInRows([...left, ...groups.values()], hinges, places, faces) };
}

const largest = (faces: readonly Face[]): Face | undefined =>
  faces.reduce<Face | undefined>((best, face) => (best && areaOf(best) >= areaOf(face) ? best : face), undefined);

const TRAY_SIDES = 'tray sides';
const isTraySide = ({ kind, normal }: Face): boolean => kind === 'ceiling' && Math.abs(normal[2]) < 1e-6;

/** A ceiling as it lies on the plan, slopes laid flat. */
function planPlace({ u, v, origin }: Face): Place {
  const flat = ([x, y]: readonly number[]): Point => {
    const length = Math.hypot(x ?? 0, y ?? 0) || 1;
    return [(x ?? 0) / length, (y ?? 0) / length];
  };
  return { u: flat(u), v: flat(v), origin: [origin[0], origin[1]] };
}

/** Without a ceiling, a wall folded outward from its line on the plan. */
const besidePlan = ({ u, normal, origin }: Face): Place => ({
  u: [u[0], u[1]],
  v: [-normal[0], -normal[1]],
  origin: [origin[0], origin[1]],
});

function hingesOf(faces: readonly Face[], joints: readonly Joint[]): readonly Hinge[] {
  const byId = new Map(faces.map((face) => [face.id, face]));
  return joints
    .flatMap((joint): readonly Hinge[] => {
      const [a, b] = joint.lines;
      const [one, other] = [a && byId.get(a.face), b && byId.get(b.face)];
      if (joint.run === 'seam' || joint.lines.length !== 2 || !a || !b || !one || !other) return [];
      const sides = { [one.id]: sideOf(one, a.from, a.to), [other.id]: sideOf(other, b.from, b.to) };
      return [{ length: joint.length, run: joint.run, sides }];
    })
    .sort((x, y) => RUN_ORDER.indexOf(x.run) - RUN_ORDER.indexOf(y.run) || y.length - x.length);
}

/** The way onto the board from an edge: square to it, toward the side where the face's loop has it. */
function sideOf(face: Face, from: Point, to: Point): HingeSide {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
  const across: Point = [-(to[1] - from[1]) / length, (to[0] - from[0]) / length];
  const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  for (const loop of face.loops) {
    for (const [index, start] of loop.entries()) {
      const end = loop[(index + 1) % loop.length] ?? start;
      const [dx, dy] = [end[0] - start[0], end[1] - start[1]];
      const step = Math.hypot(dx, dy) || 1;
      const aside = Math.abs((middle[0] - start[0]) * dy - (middle[1] - start[1]) * dx) / step;
      const along = ((middle[0] - start[0]) * dx + (middle[1] - start[1]) * dy) / step;
      const parallel = Math.abs(across[0] * dx + across[1] * dy) / step < 1e-3;
      if (aside < 1 && along > 0 && along < step && parallel) return { from, to, inward: [-dy / step, dx / step] };
    }
  }
  return { from, to, inward: across };
}

/** Folds out one face after another: ceilings, then walls from the ceiling's level edges, then what is left. */
function foldOut(faces: readonly Face[], hinges: readonly Hinge[], places: Map<string, Place>): void {
  const outlines = new Map<string, readonly Point[]>();
  const outlineOf = (face: Face, place: Place) => (face.loops[0] ?? []).map((point) => onPage(place, point));
  for (const face of faces) {
    const place = places.get(face.id);
    if (place) outlines.set(face.id, outlineOf(face, place));
  }
  const stages: readonly ((face: Face, hinge: Hinge, neighbour: string) => boolean)[] = [
    ({ kind }) => kind === 'ceiling',
    ({ kind }, { run }, neighbour) => kind === 'ceiling' || (run === 'level' && isCeiling.has(neighbour)),
    () => true,
  ];
  const isCeiling = new Set(faces.filter(({ kind }) => kind === 'ceiling').map(({ id }) => id));
  for (const allowed of stages) {
    for (let grew = true; grew; ) {
      grew = false;
      for (const face of faces) {
        if (places.has(face.id)) continue;
        for (const hinge of hinges) {
          const { sides } = hinge;
          const own = sides[face.id];
          const neighbour = Object.keys(sides).find((id) => id !== face.id);
          const placed = neighbour === undefined ? undefined : places.get(neighbour);
          const edge = neighbour === undefined ? undefined : sides[neighbour];
          if (!own || !placed || !edge || neighbour === undefined || !allowed(face, hinge, neighbour)) continue;
          const place = foldedBeside(placed, edge, own);
          const outline = outlineOf(face, place);
          if ([...outlines.values()].some((other) => overlap(other, outline))) continue;
          places.set(face.id, place);
          outlines.set(face.id, outline);
          grew = true;
          break;
        }
      }
    }
  }
}

/** What is torn off stands in rows below, as wide as the rest of the room. */
function layInRows(
  groups: readonly (readonly Face[])[],
  hinges: readonly Hinge[],
  places: Map<string, Place>,
  faces: readonly Face[],
): LaidOut['bodies'] {
  const bodies: { readonly words: string; readonly under: Point }[] = [];
  const laid = faces.flatMap((face) => {
    const place = places.get(face.id);
    return place ? face.loops.flatMap((loop) => loop.map((point) => onPage(place, point))) : [];
  });
  const box = laid.length > 0 ? boxAround(laid) : { x0: 0, x1: 4000, y0: 0, y1: 0 };
  let [x, y, tallest] = [box.x0, box.y1 + GAP_MM, 0];
  const waiting = [...groups];
  for (let group = waiting.shift(); group; group = waiting.shift()) {
    const own = new Map<string, Place>();
    const root = largest(group);
    if (!root) continue;
    own.set(root.id, { u: [1, 0], v: [0, 1], origin: [0, 0] });
    foldOut(
      group.map((face) => ({ ...face, kind: 'wall' as const })),
      hinges,
      own,
    );
    const parts = group.flatMap((face) => {
      const place = own.get(face.id);
      return place ? [{ face, place }] : [];
    });
    // The boxes of a niche with shelves do not hang together.
    const apart = group.filter(({ id }) => !own.has(id));
    if (apart.length > 0) waiting.unshift(apart);
    const points = parts.flatMap(({ face, place }) =>
      face.loops.flatMap((loop) => loop.map((point) => onPage(place, point))),
    );
    const around = boxAround(points);
    const [wide, tall] = [around.x1 - around.x0, around.y1 - around.y0];
    if (x > box.x0 && x + wide > box.x1) {
      x = box.x0;
      y += tallest + GAP_MM;
      tallest = 0;
    }
    for (const { face, place } of parts)
      places.set(face.id, {
        ...place,
        origin: [place.origin[0] + x - around.x0, place.origin[1] + y - around.y0],
      });
    const words = isTraySide(root) ? TRAY_SIDES : bodyOf(root.place) && faceWords(root.place).split(',')[0];
    if (words) bodies.push({ words, under: [x + wide / 2, y + tall] });
    x += wide + GAP_MM;
    tallest = Math.max(tallest, tall);
  }
  return bodies;
}
