import { CLASS_TRAITS } from '../joints/classTraits';
import { type Coat, coatId } from './coat';

/** A joint that gets more than its class, by the piece on which it lies. */
export interface JointMore {
  /** One coat more; undefined where its last coat takes the mud along. */
  readonly coat: ExtraCoat | undefined;
  /** The mud that this takes, wet; litres. */
  readonly litres: number;
}

/** How wide a joint is floated over all, and where the mud that this takes lies thickest, wet; mm. */
export interface ExtraCoat {
  readonly width: number;
  readonly thickest: number;
}

/** What some joints of a room get beyond their class, by piece. */
export type JointsWithMore = ReadonlyMap<string, JointMore>;
export const NO_MORE: JointsWithMore = new Map();

/**
 * Returns the coats of one joint: those of its class, and one more where a knife found that it needs it. A class that has an extra coat
 * of its own has it wide enough.
 *
 * @param coats of the class, in order
 */
export function withExtraCoat(coats: readonly Coat[], more: JointMore | undefined): readonly Coat[] {
  const extra = more?.coat && extraCoatOver(coats, more.coat);
  if (!extra) return coats;
  const known = ladders.get(extra) ?? [...coats, extra];
  ladders.set(extra, known);
  return known;
}

/** Returns the coat that goes over the last one of a class; undefined where the class has one already. */
export function extraCoatOver(coats: readonly Coat[], more: ExtraCoat): Coat | undefined {
  const last = coats.at(-1);
  if (!last || last.key === 'tape' || last.key === 'extra' || last.side !== undefined) return undefined;
  const known = extras.get(last) ?? new Map<string, Coat>();
  extras.set(last, known);
  const key = `${more.width} ${more.thickest}`;
  const coat = known.get(key) ?? extraOf(last, more);
  known.set(key, coat);
  return coat;
}

const extraOf = (last: Coat, { width, thickest }: ExtraCoat): Coat => ({
  ...last,
  id: coatId({ class: last.class, key: 'extra', side: undefined }),
  key: 'extra',
  round: 'extra',
  isLast: true,
  tape: undefined,
  edges: false,
  centred: false,
  tool: { kind: 'knife', width: width / CLASS_TRAITS[last.class].sides },
  thickest,
});

/** Asked again for the same joint, its coats are the same ones: what is worked out from them is remembered by them. */
const extras = new WeakMap<Coat, Map<string, Coat>>();
const ladders = new WeakMap<Coat, readonly Coat[]>();
