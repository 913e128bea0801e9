import { JOINT_CLASSES } from '../joints/joint';

/** What is coated: every joint class, the screws of the field, and at level 5 the whole surface. */
export const COATED_CLASSES = [...JOINT_CLASSES, 'fasteners', 'surface'] as const;
export type CoatedClass = (typeof COATED_CLASSES)[number];
/** The rounds that a crew makes through a room, in order; coats are named by the round that they belong to. */
export const COAT_KEYS = ['tape', 'fill', 'finish', 'skim'] as const;
export type CoatKey = (typeof COAT_KEYS)[number];
/** An inside angle has two surfaces. Looking into an upright one: left and right; of a level one the wall is left. */
export type Side = 'left' | 'right';

/** One coat of one class: what it is for and what it is put on with. */
export interface Coat {
  readonly class: CoatedClass;
  readonly key: CoatKey;
  /** The surface of an angle; undefined where a coat covers the whole joint. */
  readonly side: Side | undefined;
  /** The round through the room in which it is run; the second side of an angle comes a round later. */
  readonly round: CoatKey;
  readonly name: string;
  readonly purpose: string;
  readonly tool: string;
  /** mm */
  readonly width: number;
  readonly mud: 'taping' | 'all-purpose' | 'topping';
  readonly consistency: 'thin' | 'medium';
}

/** Identifies a coat of a room, e.g. `angle.fill.left`. */
export type CoatId = string;
export const coatId = ({ class: kind, key, side }: Pick<Coat, 'class' | 'key' | 'side'>): CoatId =>
  [kind, key, side].filter(Boolean).join('.');
