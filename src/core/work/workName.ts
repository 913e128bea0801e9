import { CLASS_TRAITS, RUN_GROUPS } from '../joints/classTraits';
import { COAT_KEYS, type Coat, SIDES } from '../method/coat';
import { BLOCKS, workOn } from './block';
import { PASSES } from './pass';

/**
 * What coats of a room are run in one go: those for one purpose, of one kind, on one side.
 *
 * @example workOfCoat({ class: 'backedButt', key: 'fill', side: undefined })  // 'fill.flat'
 */
export const workOfCoat = ({ class: kind, key, side }: Pick<Coat, 'class' | 'key' | 'side'>): string =>
  [key, CLASS_TRAITS[kind].run, side].filter(Boolean).join('.');

/** What is coated, and so lies on the walls or the ceiling: a whole round, or one kind of it. */
const COATED = COAT_KEYS.flatMap((key) => [
  key,
  ...RUN_GROUPS.flatMap((group) => [`${key}.${group}`, ...SIDES.map((side) => `${key}.${group}.${side}`)]),
]);

/** Everything that can be handed out in a room: a whole pass, or one kind of its work, on its walls or ceiling only or on both. */
export const WORK_NAMES: ReadonlySet<string> = new Set([
  ...PASSES,
  ...COATED,
  ...COATED.flatMap((work) => BLOCKS.map((block) => workOn(work, block))),
  ...COAT_KEYS.flatMap((key) => [`threeWay.${key}`, `centring.${key}`]),
]);
