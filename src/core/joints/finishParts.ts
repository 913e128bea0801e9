import type { HungFace } from '../hang/hangRoom';
import { coveredArea } from '../room/faces/covered';
import { areaOf, type Face } from '../room/faces/face';
import type { Room } from '../room/schema';
import type { Joint, JointClass } from './joint';

/** Stands for every face that has no level of its own. */
export const OTHER_FACES = '';

/** What lies on, or between, the same faces that have a level of their own; lengths in mm, areas in mm². */
export interface FinishPart {
  /** The faces by id, `OTHER_FACES` for all the others. */
  readonly faces: readonly string[];
  readonly classes: Readonly<Partial<Record<JointClass, number>>>;
  /** Behind cabinets: taped and left. */
  readonly tapedOnly: number;
  readonly fasteners: number;
  /** What is painted: not behind tile, cabinets or trim. */
  readonly paintedArea: number;
}

/**
 * A room in parts that are finished to one level each; undefined for rooms whose faces all go by the room's level.
 *
 * @param spotted fasteners to be spotted, by face
 */
export function partsByFinish(
  finish: Room['finish'],
  joints: readonly Joint[],
  hungFaces: readonly HungFace[],
  spotted: ReadonlyMap<string, number>,
): readonly FinishPart[] | undefined {
  const own = Object.entries(finish?.faces ?? {}).flatMap(([face, { level }]) => (level === undefined ? [] : [face]));
  if (own.length === 0) return undefined;
  const nameOf = (face: string) => (own.includes(face) ? face : OTHER_FACES);
  const parts = new Map<string, { -readonly [Key in keyof FinishPart]: FinishPart[Key] }>();
  const partOn = (faces: readonly string[]) => {
    const names = [...new Set(faces.map(nameOf))].sort();
    const key = names.join('~');
    const part = parts.get(key) ?? { faces: names, classes: {}, tapedOnly: 0, fasteners: 0, paintedArea: 0 };
    parts.set(key, part);
    return part;
  };
  for (const joint of joints) {
    const part = partOn(joint.lines.map(({ face }) => face));
    if (joint.tapedOnly) part.tapedOnly += joint.length;
    else part.classes = { ...part.classes, [joint.class]: (part.classes[joint.class] ?? 0) + joint.length };
  }
  for (const { face } of hungFaces) {
    const part = partOn([face.id]);
    part.fasteners += spotted.get(face.id) ?? 0;
    part.paintedArea += paintedAreaOf(face);
  }
  return [...parts.values()];
}

/** The new board of a face that will be painted; mm². */
export const paintedAreaOf = (face: Face): number =>
  face.existing ? 0 : Math.max(0, areaOf(face) - coveredArea(face));
