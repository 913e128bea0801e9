import type { HungFace } from '../hang/hangRoom';
import { type SheetCount, sheetsFor } from '../hang/sheetsFor';
import { areaOf } from '../room/faces/face';
import { EDGE_PROFILES, type EdgeProfile } from '../room/kinds';
import type { HangPlan } from '../room/resolveHang';
import type { Room } from '../room/schema';
import { countThreeWays } from './anglesOf';
import { CLASS_TRAITS } from './classTraits';
import { countCrossings } from './countCrossings';
import type { ScrewCount } from './countScrews';
import { type FinishPart, paintedAreaOf, partsByFinish } from './finishParts';
import { JOINT_CLASSES, type Joint, type JointClass } from './joint';

/** What there is of one class: mm and maximal straight runs. */
export interface ClassTotal {
  readonly length: number;
  readonly count: number;
}

/** A piece of bead or trim. */
export interface BeadPiece {
  readonly profile: EdgeProfile;
  readonly length: number;
  /** The joint that it covers, by id. */
  readonly edge: string;
}

/** Everything counted in a room or a house; lengths in mm, areas in mm². */
export interface Tally {
  readonly classes: Readonly<Record<JointClass, ClassTotal>>;
  /** Behind cabinets: taped and left. Not among the classes. */
  readonly tapedOnly: ClassTotal;
  /** Beads and trims again, by what stands on them. */
  readonly profiles: Readonly<Partial<Record<EdgeProfile, ClassTotal>>>;
  /** Their pieces, one for each edge: what is cut from sticks; mm. */
  readonly beadPieces: readonly BeadPiece[];
  readonly threeWays: number;
  readonly crossings: number;
  /** To be spotted. */
  readonly fasteners: number;
  /** All that are driven. */
  readonly screws: number;
  readonly factoryEdgeInAngle: { readonly one: number; readonly both: number };
  /** The butts whose paper edges were cut back, which are among the butts above; undefined where there are none. */
  readonly bevelled?: ClassTotal;
  readonly boardArea: number;
  /** Of it what is painted: not behind tile, cabinets or trim. */
  readonly paintedArea: number;
  readonly boards: readonly SheetCount[];
  /** The room in parts of one level each, where faces have levels of their own. */
  readonly parts?: readonly FinishPart[];
}

/** Counts the joints of one room. */
export function tallyRoom(
  joints: readonly Joint[],
  hungFaces: readonly HungFace[],
  plan: HangPlan,
  screws: ScrewCount,
  finish?: Room['finish'],
): Tally {
  const parts = partsByFinish(finish, joints, hungFaces, screws.spottedOn);
  const finished = joints.filter(({ tapedOnly }) => !tapedOnly);
  const classes = forEveryClass(() => ({ length: 0, count: 0 }));
  const profiles: Partial<Record<EdgeProfile, ClassTotal>> = {};
  const factoryEdgeInAngle = { one: 0, both: 0 };
  let [tapedOnly, bevelled] = [NOTHING, NOTHING];
  for (const joint of joints) {
    factoryEdgeInAngle.one += joint.factoryEdge.one;
    factoryEdgeInAngle.both += joint.factoryEdge.both;
    if (joint.tapedOnly) {
      tapedOnly = withJoint(tapedOnly, joint);
      continue;
    }
    const total = classes[joint.class];
    total.length += joint.length;
    total.count += 1;
    if (joint.bevelled) bevelled = withJoint(bevelled, joint);
    if (joint.profile) profiles[joint.profile] = withJoint(profiles[joint.profile] ?? NOTHING, joint);
  }
  return {
    classes,
    tapedOnly,
    profiles,
    beadPieces: finished.flatMap(({ id, profile, length }) => (profile ? [{ profile, length, edge: id }] : [])),
    threeWays: countThreeWays(finished),
    crossings: countCrossings(finished),
    fasteners: screws.spotted,
    screws: screws.driven,
    factoryEdgeInAngle,
    ...(bevelled.count > 0 && { bevelled }),
    boardArea: hungFaces.reduce((sum, { face }) => sum + (face.existing ? 0 : areaOf(face)), 0),
    paintedArea: hungFaces.reduce((sum, { face }) => sum + paintedAreaOf(face), 0),
    boards: sheetsFor(
      hungFaces.flatMap(({ boards }) => boards),
      plan.aim,
    ),
    ...(parts ? { parts } : {}),
  };
}

const NOTHING: ClassTotal = { length: 0, count: 0 };

const withJoint = ({ length, count }: ClassTotal, joint: Joint): ClassTotal => ({
  length: length + joint.length,
  count: count + 1,
});

/** The tally of several rooms together. */
export function addTallies(tallies: readonly Tally[]): Tally {
  const sum = (pick: (tally: Tally) => number) => tallies.reduce((total, tally) => total + pick(tally), 0);
  const sheets = new Map<string, SheetCount>();
  for (const sheet of tallies.flatMap(({ boards }) => boards)) {
    const key = `${sheet.width} ${sheet.length}`;
    sheets.set(key, { ...sheet, count: sheet.count + (sheets.get(key)?.count ?? 0) });
  }
  const together = (pick: (tally: Tally) => ClassTotal | undefined): ClassTotal => ({
    length: sum((tally) => pick(tally)?.length ?? 0),
    count: sum((tally) => pick(tally)?.count ?? 0),
  });
  return {
    classes: forEveryClass((kind) => together(({ classes }) => classes[kind])),
    tapedOnly: together(({ tapedOnly }) => tapedOnly),
    profiles: Object.fromEntries(
      EDGE_PROFILES.filter((profile) => tallies.some((tally) => tally.profiles[profile])).map((profile) => [
        profile,
        together((tally) => tally.profiles[profile]),
      ]),
    ),
    beadPieces: tallies.flatMap(({ beadPieces }) => beadPieces),
    threeWays: sum(({ threeWays }) => threeWays),
    crossings: sum(({ crossings }) => crossings),
    fasteners: sum(({ fasteners }) => fasteners),
    screws: sum(({ screws }) => screws),
    factoryEdgeInAngle: {
      one: sum(({ factoryEdgeInAngle }) => factoryEdgeInAngle.one),
      both: sum(({ factoryEdgeInAngle }) => factoryEdgeInAngle.both),
    },
    ...(tallies.some(({ bevelled }) => bevelled) && { bevelled: together((tally) => tally.bevelled) }),
    boardArea: sum(({ boardArea }) => boardArea),
    paintedArea: sum(({ paintedArea }) => paintedArea),
    boards: [...sheets.values()].sort((a, b) => a.width - b.width || a.length - b.length),
  };
}

/** The length of everything that is taped; mm. */
export const tapedLength = ({ classes, tapedOnly }: Tally): number =>
  JOINT_CLASSES.filter((kind) => CLASS_TRAITS[kind].taped).reduce(
    (sum, kind) => sum + classes[kind].length,
    tapedOnly.length,
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
