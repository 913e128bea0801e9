import { JOINT_CLASSES } from '../joints/joint';
import type { Choices } from '../room/methodAnswers';

/** What is coated: every joint class, the screws of the field, and where it is skimmed the whole surface. */
export const COATED_CLASSES = [...JOINT_CLASSES, 'fasteners', 'surface'] as const;
export type CoatedClass = (typeof COATED_CLASSES)[number];
/** The rounds that a crew makes through a room, in order; coats are named by the round that they belong to. */
export const COAT_KEYS = ['tape', 'fill', 'finish', 'extra', 'sides', 'skim'] as const;
export type CoatKey = (typeof COAT_KEYS)[number];
/**
 * An inside angle has two surfaces. Looking into an upright one: left and right; of a level one the wall is left. Where
 * opposite walls are chosen so that no two wet sides meet in a corner, they are the first and the second.
 */
export const SIDES = ['left', 'right', 'first', 'second'] as const;
export type Side = (typeof SIDES)[number];
/** Whether a side is the one that is run first and drawn on the left. */
export const isFirstSide = (side: Side): boolean => side === 'left' || side === 'first';

export const MUD_PRODUCTS = ['taping', 'all-purpose', 'lightweight', 'topping', 'setting'] as const;
export type MudProduct = (typeof MUD_PRODUCTS)[number];
/** What mud is put on with. A soft knife digs into a hollow, a trowel or a box bridges it. */
export type ToolKind = 'knife' | 'trowel' | 'box' | 'head' | 'corner' | 'taper';
export interface Tool {
  readonly kind: ToolKind;
  /** mm; of a joint that is floated on both sides of its crest, each side. */
  readonly width: number;
  /** Where the tape comes from that it beds: mesh from its own roll. */
  readonly tapeFrom?: 'roll' | Choices['laying'];
  /** The number that a box is set to: lower leaves more. */
  readonly setting?: number;
}

/** One coat of one class: what it is for, what it is put on with, and what has to be true before the next. */
export interface Coat {
  readonly id: CoatId;
  readonly class: CoatedClass;
  readonly key: CoatKey;
  /** The surface of an angle; undefined where a coat covers the whole joint. */
  readonly side: Side | undefined;
  /** The round through the room in which it is run; the second side of an angle comes a round later. */
  readonly round: CoatKey;
  /** Which sides are run, as a crew calls them. */
  readonly sides: Side | 'ceiling' | 'wall' | undefined;
  /** The last of its class. */
  readonly isLast: boolean;
  /** In the tape coat: trim and caulk finish the joint. */
  readonly trimmed: boolean;
  readonly tool: Tool;
  /** Its crest is taken down with a knife the same day. */
  readonly centred: boolean;
  readonly mud: MudProduct;
  /** Minutes on the label of setting mud. */
  readonly settingMinutes: number | undefined;
  readonly consistency: 'thin' | 'medium' | 'stiff';
  /** What is laid in the tape coat. */
  readonly tape: 'paper' | 'mesh' | undefined;
  /** Only the edges of the coat below, its middle stays. */
  readonly edges: boolean;
  /** In the tape coat: wiped until little stays, or covered while it is wet. */
  readonly covered: boolean;
  /** Of a coat that a single joint gets: where its mud lies thickest, wet, mm. The section of its class says it of all others. */
  readonly thickest?: number;
}

/** Identifies a coat of a room, e.g. `angle.fill.first`. */
export type CoatId = string;
export const coatId = ({ class: kind, key, side }: Pick<Coat, 'class' | 'key' | 'side'>): CoatId =>
  [kind, key, side].filter(Boolean).join('.');

/** Setting mud is recoated at this multiple of its label: 20 → 30 min. Common practice, no source. */
export const SETTING_RECOAT_FACTOR = 1.5;

/** Drying mud may be crossed after so long. Common practice, no source. */
export const FIRM_MINUTES = 30;

/** The mud of a coat as it is logged. */
export const mudKind = ({
  settingMinutes,
}: Pick<Coat, 'settingMinutes'>):
  | { readonly kind: 'drying' }
  | { readonly kind: 'setting'; readonly minutes: number } =>
  settingMinutes === undefined ? { kind: 'drying' } : { kind: 'setting', minutes: settingMinutes };
