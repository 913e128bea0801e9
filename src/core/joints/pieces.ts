import type { HungFace } from '../hang/hangRoom';
import { TOLERANCE_MM } from '../measure/unit';
import type { Face } from '../room/faces/face';
import { CLASS_TRAITS, isAngle, isCrossed, type RunGroup } from './classTraits';
import { paintedAreaOf } from './finishParts';
import { firstWalls } from './firstWalls';
import { type FaceLine, isOnLine, type Joint, type JointClass } from './joint';

/**
 * What a coat lies on: one side of a joint on one face (a seam has one, an angle two, a bead one on each flange), the
 * fasteners of a face, or the surface of a face.
 */
export interface Piece {
  /** The joint and the face: `w0~w1#0@w0`, `fasteners@w0`, `surface@c0`. */
  readonly id: string;
  readonly class: JointClass | 'fasteners' | 'surface';
  readonly face: string;
  /** The faces of its joint: a joint between two takes the coats of the higher level. */
  readonly faces: readonly string[];
  /** mm of the joint, fasteners by count, mm² of surface. */
  readonly amount: number;
  /** The pieces of its face that it meets and that are not run with it: one knife runs over the other. */
  readonly crosses: readonly string[];
  /** How it lies for those who run an angle side by side; undefined where a coat covers the whole joint. */
  readonly lies: Lies | undefined;
}

/** Of pieces of one class together: mm, fasteners by count, mm² of surface. */
export const amountOf = (pieces: readonly Pick<Piece, 'amount'>[]): number =>
  pieces.reduce((sum, { amount }) => sum + amount, 0);

/** Where the side of an angle lies, for each order in which schools visit sides; they are never what it is. */
export interface Lies {
  /** Looking into an upright angle; of a level one the wall is left. */
  readonly left: boolean;
  /** On the walls that are run first where opposite ones are chosen. */
  readonly first: boolean;
  /** The same where the ceiling's sides are run before those of the walls. */
  readonly ceilingFirst: boolean;
}

/** A board ends this near to the corner that its seams reach. */
const REACH_MM = 5;

/**
 * The pieces of a room. Those behind cabinets are taped and never coated; they are none.
 *
 * @param spottedOn fasteners to be spotted, by face
 */
export function piecesOf(
  joints: readonly Joint[],
  hungFaces: readonly HungFace[],
  spottedOn: ReadonlyMap<string, number>,
): readonly Piece[] {
  const faces = new Map(hungFaces.map(({ face }) => [face.id, face]));
  const walls = hungFaces.filter(({ face }) => face.kind === 'wall').map(({ face }) => face.id);
  const first = new Set(firstWalls(walls.length).map((wall) => walls[wall]));
  const coated = joints.filter(({ tapedOnly }) => !tapedOnly);
  const crossed = crossedBy(coated);
  return [
    ...coated.flatMap((joint) => sidesOf(joint, faces, first, crossed)),
    ...hungFaces.flatMap(({ face }): readonly Piece[] => {
      const spotted = spottedOn.get(face.id) ?? 0;
      const painted = paintedAreaOf(face);
      const own = { face: face.id, faces: [face.id], crosses: [], lies: undefined };
      return [
        ...(spotted > 0 ? [{ ...own, id: `fasteners@${face.id}`, class: 'fasteners' as const, amount: spotted }] : []),
        ...(painted > 0 ? [{ ...own, id: `surface@${face.id}`, class: 'surface' as const, amount: painted }] : []),
      ];
    }),
  ];
}

function sidesOf(
  joint: Joint,
  faces: ReadonlyMap<string, Face>,
  first: ReadonlySet<string | undefined>,
  crossed: ReadonlyMap<FaceLine, readonly string[]>,
): readonly Piece[] {
  const ids = [...new Set(joint.lines.map(({ face }) => face))];
  const [a, b] = ids;
  return ids.map((face) => ({
    id: pieceId(joint, face),
    class: joint.class,
    face,
    faces: ids,
    amount: joint.length,
    crosses: joint.lines.filter((line) => line.face === face).flatMap((line) => crossed.get(line) ?? []),
    lies:
      isAngle(joint.class) && a !== undefined && b !== undefined ? liesOn(joint, face === a, faces, first) : undefined,
  }));
}

/** The id of what a coat lies on: the joint and the face. */
export const pieceId = ({ id }: Pick<Joint, 'id'>, face: string): string => `${id}@${face}`;

interface RunLine {
  readonly line: FaceLine;
  readonly id: string;
  readonly run: RunGroup;
}

/** For every line of a joint on a face, the pieces that it meets there and that are run apart from it. */
function crossedBy(joints: readonly Joint[]): ReadonlyMap<FaceLine, readonly string[]> {
  const onFaces = new Map<string, RunLine[]>();
  for (const joint of joints) {
    const { run } = CLASS_TRAITS[joint.class];
    for (const line of joint.lines) {
      const known = onFaces.get(line.face);
      const own = { line, id: pieceId(joint, line.face), run };
      if (known) known.push(own);
      else onFaces.set(line.face, [own]);
    }
  }
  const crossed = new Map<FaceLine, string[]>();
  const add = (line: FaceLine, id: string) => {
    const known = crossed.get(line);
    if (!known) crossed.set(line, [id]);
    else if (!known.includes(id)) known.push(id);
  };
  for (const lines of onFaces.values()) {
    for (const one of lines) {
      for (const other of lines) {
        if (!isCrossed(one.run, other.run) || !endsOn(one.line, other.line)) continue;
        add(one.line, other.id);
        add(other.line, one.id);
      }
    }
  }
  return crossed;
}

const endsOn = ({ from, to }: FaceLine, line: FaceLine): boolean =>
  isOnLine(from, line, REACH_MM) || isOnLine(to, line, REACH_MM);

/** Of the two sides of an angle exactly one is left, one is first, whatever the room is like. */
function liesOn(
  { lines, run }: Joint,
  isOne: boolean,
  faces: ReadonlyMap<string, Face>,
  first: ReadonlySet<string | undefined>,
): Lies {
  const [one, other] = lines;
  const [a, b] = [faces.get(one?.face ?? ''), faces.get(other?.face ?? '')];
  const onCeiling = (face: Face | undefined) => face?.kind === 'ceiling';
  const oneIsLeft =
    onCeiling(a) !== onCeiling(b)
      ? onCeiling(b)
      : run === 'upright'
        ? (isLeft(one, a) ?? !(isLeft(other, b) ?? false))
        : true;
  const [aFirst, bFirst] = [first.has(a?.id), first.has(b?.id)];
  // A wall that waits has the ceiling's side of its edge run first: in a corner one side stays dry.
  const oneIsFirst = aFirst !== bFirst ? aFirst : onCeiling(a) !== onCeiling(b) ? onCeiling(a) : true;
  const oneBeforeWalls = onCeiling(a) !== onCeiling(b) ? onCeiling(a) : oneIsFirst;
  return { left: isOne === oneIsLeft, first: isOne === oneIsFirst, ceilingFirst: isOne === oneBeforeWalls };
}

/** Whether an upright edge ends a face on the right: then, looking into the corner, the face is on the left. */
function isLeft(line: FaceLine | undefined, face: Face | undefined): boolean | undefined {
  if (!line || !face) return undefined;
  const [u] = line.from;
  if (Math.abs(u - face.width) <= TOLERANCE_MM) return true;
  return Math.abs(u) <= TOLERANCE_MM ? false : undefined;
}
