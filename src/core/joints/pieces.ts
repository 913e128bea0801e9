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
  const pieces = sidesOf(
    joints.filter(({ tapedOnly }) => !tapedOnly),
    faces,
    first,
  );
  for (const { face } of hungFaces) {
    const spotted = spottedOn.get(face.id) ?? 0;
    const painted = paintedAreaOf(face);
    if (spotted > 0) pieces.push(onWholeFace('fasteners', face.id, spotted));
    if (painted > 0) pieces.push(onWholeFace('surface', face.id, painted));
  }
  return pieces;
}

const onWholeFace = (kind: 'fasteners' | 'surface', face: string, amount: number): Piece => ({
  id: `${kind}@${face}`,
  class: kind,
  face,
  faces: [face],
  amount,
  crosses: [],
  lies: undefined,
});

/** The id of what a coat lies on: the joint and the face. */
export const pieceId = ({ id }: Pick<Joint, 'id'>, face: string): string => `${id}@${face}`;

/** One straight line of a piece on its face, with the list of pieces that the piece crosses. */
interface RunLine {
  readonly line: FaceLine;
  readonly run: RunGroup;
  readonly id: string;
  readonly crosses: string[];
}

/** The sides of all joints, each with what it crosses on its face. */
function sidesOf(
  joints: readonly Joint[],
  faces: ReadonlyMap<string, Face>,
  first: ReadonlySet<string | undefined>,
): Piece[] {
  const pieces: Piece[] = [];
  const onFaces = new Map<string, RunLine[]>();
  for (const joint of joints) {
    const { run } = CLASS_TRAITS[joint.class];
    const ids = facesOf(joint);
    for (const face of ids) {
      const [id, crosses]: [string, string[]] = [pieceId(joint, face), []];
      const lies = isAngle(joint.class) && ids.length > 1 ? liesOn(joint, face === ids[0], faces, first) : undefined;
      pieces.push({ id, class: joint.class, face, faces: ids, amount: joint.length, crosses, lies });
      const lines = onFaces.get(face) ?? [];
      if (lines.length === 0) onFaces.set(face, lines);
      for (const line of joint.lines) if (line.face === face) lines.push({ line, run, id, crosses });
    }
  }
  for (const lines of onFaces.values()) cross(lines);
  return pieces;
}

function facesOf({ lines }: Joint): readonly string[] {
  const faces: string[] = [];
  for (const { face } of lines) if (!faces.includes(face)) faces.push(face);
  return faces;
}

/** Finds which lines of one face meet and are run apart. */
function cross(lines: readonly RunLine[]): void {
  // Plain loops: this runs for every two lines of a face.
  for (const [index, one] of lines.entries()) {
    for (let at = 0; at < index; at += 1) {
      const other = lines[at];
      if (!other || !isCrossed(one.run, other.run)) continue;
      if (!endsOn(one.line, other.line) && !endsOn(other.line, one.line)) continue;
      if (!one.crosses.includes(other.id)) one.crosses.push(other.id);
      if (!other.crosses.includes(one.id)) other.crosses.push(one.id);
    }
  }
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
