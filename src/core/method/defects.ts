import { CLASS_TRAITS, classesWith, isAngle } from '../joints/classTraits';
import type { Coat, CoatedClass } from './coat';

/** What can be wrong with a wall, as a crew calls it. */
export const DEFECT_KINDS = [
  'bubble',
  'tapeShows',
  'ridge',
  'crown',
  'hollow',
  'gouged',
  'rounded',
  'streak',
  'pinholes',
  'furred',
  'crack',
  'beadOut',
  'screwPop',
  'torn',
  'edgeShows',
  'cutLine',
  'heavyBottom',
  'showThrough',
  'gap',
  'corner',
  'ragged',
  'loose',
  'outlet',
  'dent',
] as const;
export type DefectKind = (typeof DEFECT_KINDS)[number];

/** Whose work made it, as far as the kind alone says. */
export type Account = 'crew' | 'hanger' | 'others';

export interface Defect {
  /** At once, before anything goes over it; or with the coat that comes next; or when the surface is sealed. */
  readonly mend: 'now' | 'next' | 'seal';
  readonly account: Account;
  /** It is mended without mud: scraped, sealed. */
  readonly dry?: true;
  /** On what it is found; everywhere where it does not say. */
  readonly on?: readonly CoatedClass[];
}

const TAPED = classesWith(({ taped }) => taped);
const ANGLES = classesWith(({ layout }) => layout === 'corner');
const CROWNED = classesWith(({ crowned }) => crowned);
const CUT_ENDS = classesWith(({ run, boxed }) => run === 'butt' || boxed === 'backed');
const BEADS = classesWith(({ run }) => run === 'bead');

/** Each kind: when it is mended, by whose account, and on what it is found. Common practice, no source. */
export const DEFECTS: Readonly<Record<DefectKind, Defect>> = {
  bubble: { mend: 'now', account: 'crew', on: TAPED },
  tapeShows: { mend: 'next', account: 'crew', on: TAPED },
  ridge: { mend: 'next', account: 'crew', dry: true },
  crown: { mend: 'next', account: 'crew', on: CROWNED },
  hollow: { mend: 'next', account: 'crew' },
  gouged: { mend: 'next', account: 'crew', on: ANGLES },
  rounded: { mend: 'next', account: 'crew', on: ANGLES },
  streak: { mend: 'next', account: 'crew' },
  pinholes: { mend: 'next', account: 'crew' },
  furred: { mend: 'seal', account: 'crew' },
  crack: { mend: 'now', account: 'crew' },
  beadOut: { mend: 'now', account: 'crew', on: BEADS },
  screwPop: { mend: 'now', account: 'hanger', on: ['fasteners'] },
  torn: { mend: 'now', account: 'hanger' },
  edgeShows: { mend: 'next', account: 'crew' },
  cutLine: { mend: 'next', account: 'crew', on: CUT_ENDS },
  heavyBottom: { mend: 'next', account: 'crew', dry: true },
  showThrough: { mend: 'seal', account: 'crew', dry: true },
  gap: { mend: 'now', account: 'hanger' },
  corner: { mend: 'now', account: 'hanger' },
  ragged: { mend: 'now', account: 'hanger', dry: true },
  loose: { mend: 'now', account: 'hanger', dry: true },
  outlet: { mend: 'next', account: 'others', dry: true },
  dent: { mend: 'now', account: 'others' },
};

/** The two mistakes that are made most with a coat of a class. Common practice, no source. */
export function usualMistakes({ class: kind, key }: Pick<Coat, 'class' | 'key'>): readonly [DefectKind, DefectKind] {
  const isBead = CLASS_TRAITS[kind].run === 'bead';
  if (kind === 'fasteners') return key === 'tape' ? ['screwPop', 'torn'] : ['hollow', 'ridge'];
  if (kind === 'surface') return ['streak', 'pinholes'];
  if (key === 'tape') return isBead ? ['beadOut', 'hollow'] : ['bubble', 'tapeShows'];
  if (isAngle(kind)) return ['gouged', key === 'fill' ? 'rounded' : 'streak'];
  if (CLASS_TRAITS[kind].crowned)
    return ['crown', key === 'fill' && DEFECTS.cutLine.on?.includes(kind) ? 'cutLine' : 'edgeShows'];
  if (isBead) return ['ridge', 'edgeShows'];
  return key === 'fill' ? ['ridge', 'hollow'] : ['streak', 'pinholes'];
}

/** What is looked for before anything is on: how the boards hang and the beads stand. */
export const BEFORE_TAPE: readonly DefectKind[] = [
  'screwPop',
  'torn',
  'ragged',
  'loose',
  'gap',
  'corner',
  'beadOut',
  'outlet',
  'dent',
];

/** What is filled before the tape, by how long it is. */
export const isPrefilled = (kind: DefectKind | undefined): boolean => kind === 'gap' || kind === 'corner';

/** The kinds that are found on a class: those of that class first, then those that are found anywhere. */
export function defectsOn(kind: CoatedClass | undefined): readonly DefectKind[] {
  if (kind === undefined) return DEFECT_KINDS;
  const own = DEFECT_KINDS.filter((defect) => DEFECTS[defect].on?.includes(kind));
  return [...own, ...DEFECT_KINDS.filter((defect) => DEFECTS[defect].on === undefined)];
}
