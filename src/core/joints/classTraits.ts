import { JOINT_CLASSES, type JointClass } from './joint';

/** How the boards of a class lie: across the joint, from a corner or a nose outward on one or two sides, or round a screw. */
export type Layout = 'across' | 'corner' | 'nose' | 'edge' | 'round' | 'even';

/** Classes that are run together. */
export const RUN_GROUPS = ['bead', 'butt', 'flat', 'angle', 'fasteners', 'surface'] as const;
export type RunGroup = (typeof RUN_GROUPS)[number];

type AnyClass = JointClass | 'fasteners' | 'surface';

/** What is true of a class wherever it lies and whatever the method. */
export interface ClassTraits {
  readonly layout: Layout;
  /** Tape is bedded in its first coat. */
  readonly taped: boolean;
  /** Each side of its crest is filled with the whole knife. */
  readonly sides: 1 | 2;
  /** Its boards stand proud where they meet, so that it is floated out wide. */
  readonly crowned: boolean;
  /** Gaps are most between cut ends. */
  readonly gapped: boolean;
  /** The answer for all classes by which mesh is laid on it; either: every answer but paper. */
  readonly meshed: 'mesh' | 'meshButts' | 'never';
  /** What is chosen for hard joints is meant for it. */
  readonly hard: boolean;
  /** How a box goes over it. */
  readonly boxed: 'along' | 'butt' | 'backed' | 'never';
  /** The knives that it is coated with. */
  readonly knives: 'flat' | 'mixed' | 'butt' | 'tieIn' | 'angle' | 'bead' | 'fasteners';
  /** With what it is run through a room. */
  readonly run: RunGroup;
}

const SEAM = { layout: 'across', taped: true, sides: 1, gapped: false, hard: false } as const;
const CORNER = {
  layout: 'corner',
  taped: true,
  sides: 1,
  crowned: false,
  gapped: false,
  meshed: 'never',
  boxed: 'never',
  knives: 'angle',
  run: 'angle',
} as const;
const LOOSE = {
  taped: false,
  sides: 1,
  crowned: false,
  gapped: false,
  meshed: 'never',
  hard: false,
  boxed: 'never',
} as const;

/** Every class with its traits. Common practice, no source. */
export const CLASS_TRAITS: Readonly<Record<AnyClass, ClassTraits>> = {
  flat: { ...SEAM, crowned: false, meshed: 'mesh', boxed: 'along', knives: 'flat', run: 'flat' },
  butt: {
    ...SEAM,
    sides: 2,
    crowned: true,
    gapped: true,
    meshed: 'meshButts',
    boxed: 'butt',
    knives: 'butt',
    run: 'butt',
  },
  backedButt: { ...SEAM, crowned: true, meshed: 'meshButts', boxed: 'backed', knives: 'flat', run: 'flat' },
  mixed: {
    ...SEAM,
    crowned: true,
    gapped: true,
    meshed: 'mesh',
    boxed: 'along',
    knives: 'mixed',
    run: 'flat',
  },
  angle: { ...CORNER, hard: false },
  offAngle: { ...CORNER, hard: true },
  bead: { ...LOOSE, layout: 'nose', knives: 'bead', run: 'bead' },
  trim: { ...LOOSE, layout: 'edge', knives: 'bead', run: 'bead' },
  existing: {
    ...SEAM,
    crowned: true,
    gapped: true,
    meshed: 'never',
    hard: true,
    boxed: 'butt',
    knives: 'tieIn',
    run: 'flat',
  },
  fasteners: { ...LOOSE, layout: 'round', knives: 'fasteners', run: 'fasteners' },
  surface: { ...LOOSE, layout: 'even', knives: 'fasteners', run: 'surface' },
};

/** The classes with a trait, in the order in which they are listed. */
export const classesWith = (has: (traits: ClassTraits) => boolean) =>
  ([...JOINT_CLASSES, 'fasteners', 'surface'] as const).filter((kind) => has(CLASS_TRAITS[kind]));

/** Inside angles: their coats are put on and dry one side at a time. */
export const isAngle = (kind: AnyClass): boolean => CLASS_TRAITS[kind].layout === 'corner';

/** Joints that lie in one plane, across which a knife is laid. */
export const isAcross = (kind: AnyClass): kind is JointClass => CLASS_TRAITS[kind].layout === 'across';

/** Beads, trim and fasteners: coated, never taped. */
export const isAccessory = (kind: AnyClass): boolean => kind !== 'surface' && !CLASS_TRAITS[kind].taped;

/** Groups whose knife runs over another joint where they meet; a screw lies by itself. */
const CROSSING: readonly RunGroup[] = ['bead', 'butt', 'flat', 'angle'];

/**
 * Returns whether one is run over the other where two joints meet, whichever comes first.
 *
 * @example isCrossed('butt', 'angle')  // true
 * @example isCrossed('flat', 'flat')  // false: what is run together is blended wet
 */
export const isCrossed = (one: RunGroup, other: RunGroup): boolean =>
  one !== other && CROSSING.includes(one) && CROSSING.includes(other);
