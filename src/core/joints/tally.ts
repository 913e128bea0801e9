import type { HungFace } from '../hang/hangRoom';
import { type SheetCount, sheetsFor } from '../hang/sheetsFor';
import { areaOf } from '../house/face';
import type { HangPlan } from '../house/resolveHang';
import { countThreeWays } from './anglesOf';
import { countCrossings } from './countCrossings';
import { countScrews } from './countScrews';
import { JOINT_CLASSES, type Joint, type JointClass } from './joint';

/** What there is of one class: mm and maximal straight runs. */
export interface ClassTotal {
  readonly length: number;
  readonly count: number;
}

/** Everything counted in a room or a house; lengths in mm, areas in mm². */
export interface Tally {
  readonly classes: Readonly<Record<JointClass, ClassTotal>>;
  readonly threeWays: number;
  readonly crossings: number;
  /** To be spotted. */
  readonly fasteners: number;
  /** All that are driven. */
  readonly screws: number;
  readonly factoryEdgeInAngle: { readonly one: number; readonly both: number };
  readonly boardArea: number;
  readonly boards: readonly SheetCount[];
}

/** Counts the joints of one room. */
export function tallyRoom(joints: readonly Joint[], hungFaces: readonly HungFace[], plan: HangPlan): Tally {
  const screws = countScrews(hungFaces, joints, plan);
  const total = (kind: JointClass): ClassTotal => {
    const ofClass = joints.filter((joint) => joint.class === kind);
    return { length: ofClass.reduce((sum, { length }) => sum + length, 0), count: ofClass.length };
  };
  return {
    classes: forEveryClass(total),
    threeWays: countThreeWays(joints),
    crossings: countCrossings(joints),
    fasteners: screws.spotted,
    screws: screws.driven,
    factoryEdgeInAngle: {
      one: joints.reduce((sum, { factoryEdge }) => sum + factoryEdge.one, 0),
      both: joints.reduce((sum, { factoryEdge }) => sum + factoryEdge.both, 0),
    },
    boardArea: hungFaces.reduce((sum, { face }) => sum + areaOf(face), 0),
    boards: sheetsFor(hungFaces.flatMap(({ boards }) => boards)),
  };
}

/** The tally of several rooms together. */
export function addTallies(tallies: readonly Tally[]): Tally {
  const sum = (pick: (tally: Tally) => number) => tallies.reduce((total, tally) => total + pick(tally), 0);
  const sheets = new Map<string, SheetCount>();
  for (const sheet of tallies.flatMap(({ boards }) => boards)) {
    const key = `${sheet.width} ${sheet.length}`;
    sheets.set(key, { ...sheet, count: sheet.count + (sheets.get(key)?.count ?? 0) });
  }
  return {
    classes: forEveryClass((kind) => ({
      length: sum(({ classes }) => classes[kind].length),
      count: sum(({ classes }) => classes[kind].count),
    })),
    threeWays: sum(({ threeWays }) => threeWays),
    crossings: sum(({ crossings }) => crossings),
    fasteners: sum(({ fasteners }) => fasteners),
    screws: sum(({ screws }) => screws),
    factoryEdgeInAngle: {
      one: sum(({ factoryEdgeInAngle }) => factoryEdgeInAngle.one),
      both: sum(({ factoryEdgeInAngle }) => factoryEdgeInAngle.both),
    },
    boardArea: sum(({ boardArea }) => boardArea),
    boards: [...sheets.values()].sort((a, b) => a.width - b.width || a.length - b.length),
  };
}

/** The length of everything that is taped; mm. */
export const tapedLength = ({ classes }: Tally): number =>
  (['flat', 'butt', 'backedButt', 'mixed', 'angle', 'offAngle', 'existing'] as const).reduce(
    (sum, kind) => sum + classes[kind].length,
    0,
  );

/** The length of all joints; mm. */
export const jointLength = ({ classes }: Tally): number =>
  JOINT_CLASSES.reduce((sum, kind) => sum + classes[kind].length, 0);

function forEveryClass<Value>(make: (kind: JointClass) => Value): Readonly<Record<JointClass, Value>> {
  return {
    flat: make('flat'),
    butt: make('butt'),
    backedButt: make('backedButt'),
    mixed: make('mixed'),
    angle: make('angle'),
    offAngle: make('offAngle'),
    bead: make('bead'),
    trim: make('trim'),
    existing: make('existing'),
  };
}
