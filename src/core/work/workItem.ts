import type { WetMud } from '../drying/wetMud';
import type { RunGroup } from '../joints/classTraits';
import type { CoatId } from '../method/coat';
import type { Block } from './block';
import type { Pass } from './pass';

/** What somebody has to be able to do. */
export const SKILLS = ['tape', 'coat', 'box', 'angles', 'sand', 'check', 'seal'] as const;
export type Skill = (typeof SKILLS)[number];

/** The kinds of work that are handed out. */
export type WorkKind = RunGroup | 'prefill' | 'threeWay' | 'centring' | 'between' | 'mend' | 'sand' | 'check' | 'seal';

/** What comes before an item: all of it must have ended, and its mud be firm, stiff, ready for a coat, or ready for sanding. */
export interface After {
  readonly item: string;
  readonly until: 'ended' | 'firm' | 'stiff' | 'recoat' | 'sand';
  /** What dries; none where only the end counts. */
  readonly muds: readonly WetMud[];
}

/** What of an item lies in one block: a part of the whole, 0–1, its person-hours, and when what lies there lets it begin. */
export type OfBlock = Pick<WorkItem, 'part' | 'hours' | 'between' | 'from'>;

/** What one person or a pair can be sent to do in one go: one kind of work of one coat in one room. */
export interface WorkItem {
  /** The room and the work: `hall/fill.flat`. */
  readonly id: string;
  readonly room: string;
  /** Within its room: what is handed out carries it. */
  readonly work: string;
  readonly kind: WorkKind;
  /** The round through the room, or what comes before it or after the last. */
  readonly pass: Pass;
  readonly coats: readonly CoatId[];
  /** The part that is still to do, 0–1. */
  readonly part: number;
  /** Person-hours of what is left, by the usual rates. */
  readonly hours: number;
  /** What of these is scraping, sanding or wiping before the coats go on; see `scrapeApart`. */
  readonly between: number;
  /** Whether it is scraping, which somebody else can be sent to do before. */
  readonly scrapes: boolean;
  /** At what people differ: the class and the coat. */
  readonly rate: string;
  /** Two for a box: one runs it, one wipes. */
  readonly people: 1 | 2;
  readonly skill: Skill;
  /** A tool of which there may be few. */
  readonly tool: string | undefined;
  /** When what lies on the wall lets it begin, ms since 1970; undefined where nothing does. */
  readonly from: number | undefined;
  readonly after: readonly After[];
  /** What it may lie across, see `isCrossed`; undefined where nobody waits for that, or nothing is coated. */
  readonly run: RunGroup | undefined;
  /** What it leaves wet. */
  readonly muds: readonly WetMud[];
  /** The walls or the ceiling, where all that is left of it lies there. */
  readonly block: Block | undefined;
  /** Where some is left of it on both: what of it each has, see `splitItems`. */
  readonly blocks: Readonly<Record<Block, OfBlock>> | undefined;
}
