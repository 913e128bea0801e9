import type { CatchUp } from '../core/drywatch/catchUp';
import type { RunGroup } from '../core/joints/classTraits';
import type { JointClass } from '../core/joints/joint';
import { distinct } from '../core/measure/distinct';
import type { LengthUnit } from '../core/measure/unit';
import type { Coat, CoatedClass } from '../core/method/coat';
import type { SmallWorkKind } from '../core/method/smallWork';
import { groupsInOrder } from '../core/readiness/nextSteps';
import type { ClassNow, RoomNow, Stuck } from '../core/readiness/whatNow';
import type { EdgeProfile } from '../core/room/kinds';
import type { Block } from '../core/work/block';
import { CENTRING, type Pass } from '../core/work/pass';
import type { Task } from '../core/work/tasksOf';
import { coatName } from './coatWords';
import { roughLength } from './lengthWords';
import { percent } from './percent';
import { spanWords, untilWords } from './when';

/** What a class is called, one and many. */
export const CLASS_NAMES: Readonly<Record<CoatedClass, string>> = {
  flat: 'Flats',
  butt: 'Butts',
  backedButt: 'Backed butts',
  mixed: 'Mixed joints',
  angle: 'Inside angles',
  offAngle: 'Off-angles',
  bead: 'Corner bead',
  trim: 'Edge trim',
  existing: 'To existing',
  fasteners: 'Fasteners',
  surface: 'Whole surface',
};

/** Classes that are run together, in a sentence. */
export const GROUP_NAMES: Readonly<Record<RunGroup, string>> = {
  butt: 'butts',
  flat: 'flats',
  bead: 'beads',
  angle: 'angles',
  fasteners: 'fasteners',
  surface: 'the whole surface',
};

/** What stands on an outside corner or a free edge. */
export const PROFILE_NAMES: Readonly<Record<EdgeProfile, string>> = {
  square: 'square metal',
  paper: 'paper-faced',
  vinyl: 'vinyl',
  bullnose: 'bullnose',
  flexible: 'flexible',
  arch: 'arch',
  L: 'L trim',
  J: 'J trim',
  none: 'none',
};

/** Work beside the coats. */
export const SMALL_NAMES: Readonly<Record<SmallWorkKind, string>> = {
  prefill: 'Gaps to pre-fill',
  factoryEdge: 'Factory edges in angles',
  threeWay: 'Three-ways to point',
  centring: 'Boxed butts to center',
};

/** How much small work there is: 14 ft, or 8 for three-ways. */
export const smallAmount = (
  { kind, amount }: { readonly kind: SmallWorkKind; readonly amount: number },
  unit: LengthUnit,
): string => (kind === 'threeWay' ? amount.toLocaleString('en-US') : roughLength(amount, unit));

export const PASS_NAMES: Readonly<Record<Pass, string>> = {
  prefill: 'Pre-fill',
  tape: 'Tape',
  fill: 'Fill',
  finish: 'Finish',
  extra: 'Extra',
  sides: 'Last sides',
  skim: 'Skim',
  'between.fill': 'Scrape before fill',
  'between.finish': 'Scrape before finish',
  'between.extra': 'Scrape before the extra coat',
  'between.sides': 'Scrape before the last sides',
  centring: 'Center the butts',
  mend: 'Mend',
  sand: 'Sand',
  check: 'Check',
  seal: 'Seal',
};

export const BLOCK_NAMES: Readonly<Record<Block, string>> = { walls: 'walls', ceiling: 'ceiling' };

/** A pass within a sentence: fill; fill, ceiling. */
export const passWords = (pass: Pass, block?: Block): string =>
  [PASS_NAMES[pass].toLowerCase(), block && BLOCK_NAMES[block]].filter(Boolean).join(', ');

/**
 * Names a job with its kinds in the order in which they are run, and what is done beside them.
 *
 * @example jobOrderWords(task, undefined)  // 'tape: beads, butts, flats, angles, fasteners, factory edges, three-ways'
 */
export function jobOrderWords({ pass, coats, small }: Pick<Task, 'pass' | 'coats' | 'small'>, block?: Block): string {
  const beside = pass === 'prefill' || pass === CENTRING ? [] : small;
  const kinds = [
    // Gaps are filled before any tape.
    ...(beside.some(({ kind }) => kind === 'prefill') ? [SMALL_WORK_WORDS.prefill] : []),
    ...groupsInOrder(coats).map((group) => (pass === 'tape' && group === 'bead' ? 'set beads' : GROUP_NAMES[group])),
    ...distinct(beside.flatMap(({ kind }) => (kind === 'prefill' ? [] : [SMALL_WORK_WORDS[kind]]))).values,
  ];
  return kinds.length === 0 ? passWords(pass, block) : `${passWords(pass, block)}: ${kinds.join(', ')}`;
}

/** Work beside the coats, within a list. */
const SMALL_WORK_WORDS: Readonly<Record<SmallWorkKind, string>> = {
  prefill: 'pre-fill',
  factoryEdge: 'factory edges',
  threeWay: 'three-ways',
  centring: 'center the butts',
};

/** Why nothing can be done. */
export const stuckWords = (why: Stuck): string => (why.kind === 'held' ? why.why : STUCK[why.kind]);
const STUCK: Readonly<Record<Exclude<Stuck['kind'], 'held'>, string>> = {
  cold: 'too cold for finishing',
  joints: 'the joints come first',
  mend: 'something is to be mended first',
  notAccepted: 'the hanging is not accepted',
  tooLarge: 'too large to work out: split the room',
};

/** A state in a shape, a tone and words; never by colour alone. */
export interface StateWords {
  readonly mark: 'go' | 'wet' | 'stuck' | 'quiet';
  readonly title: string;
  readonly detail?: string;
}

/**
 * Names the joint that has to firm up and the minutes until it has.
 *
 * @example firmWords({ class: 'butt' }, now + 12 * 60_000, now)  // 'Butts firm in 12 min'
 */
export const firmWords = ({ class: kind }: Pick<Coat, 'class'>, until: number, now: number): string =>
  `${CLASS_NAMES[kind]} firm in ${Math.max(1, Math.ceil((until - now) / MINUTE_MS))} min`;
const MINUTE_MS = 60_000;

/** How much of a class can go on, where it is not all: some of it is on, or waits, or is ahead of the rest. */
function partWords({ share, ready }: Extract<ClassNow, { kind: 'go' }>): { readonly detail?: string } {
  const [first, ...ahead] = ready;
  const said = [
    ...(first?.pieces && first.part < 1
      ? [`on ${percent(first.part)} % of it`]
      : share > 0
        ? [`${percent(share)} % done`]
        : []),
    ...ahead.map(({ coat, part }) => `${coatName(coat).toLowerCase()} on ${percent(part)} %`),
  ];
  return said.length > 0 ? { detail: said.join(', ') } : {};
}

/** The words of what can be done with one class now. */
export function classWords(now: ClassNow, instant: number, timeZone: string): StateWords {
  switch (now.kind) {
    case 'go':
      return {
        mark: 'go',
        title: `Go: ${coatName(now.coat).toLowerCase()}`,
        ...partWords(now),
      };
    case 'wet':
      return {
        mark: 'wet',
        title: now.prefill
          ? 'Pre-fill not firm'
          : now.crossed
            ? firmWords(now.coat, now.until, instant)
            : `${coatName(now.coat)} wet`,
        detail: now.crossed && now.next ? `then ${coatName(now.next).toLowerCase()}` : wetWords(now, instant, timeZone),
      };
    case 'stuck':
      return { mark: 'stuck', title: 'Stuck', detail: stuckWords(now.why) };
    case 'dry':
      return { mark: 'quiet', title: 'All coats dry' };
    case 'sanded':
      return { mark: 'quiet', title: 'Sanded' };
  }
}

/** The words of what can be done with a room now. */
export function roomWords(now: RoomNow, instant: number, timeZone: string): StateWords {
  switch (now.kind) {
    case 'go':
      return { mark: 'go', title: 'Go: coat' };
    case 'fix':
      return { mark: 'go', title: 'Go: fix' };
    case 'sand':
      return { mark: 'go', title: 'Go: sand' };
    case 'check':
      return { mark: 'go', title: 'Go: check' };
    case 'seal':
      return { mark: 'go', title: 'Go: seal' };
    case 'handOver':
      return { mark: 'go', title: 'Go: hand over' };
    case 'wet':
      return { mark: 'wet', title: now.sealer ? 'Sealer wet' : 'Wet', detail: wetWords(now, instant, timeZone) };
    case 'stuck':
      return { mark: 'stuck', title: 'Stuck', detail: stuckWords(now.why) };
    case 'done':
      return { mark: 'quiet', title: 'Handed over' };
    case 'nothing':
      return { mark: 'quiet', title: 'Nothing to coat' };
  }
}

/** Until when mud is wet: until 5:05, all by 11:05. */
function wetWords({ until, allBy }: WetTimes, instant: number, timeZone: string): string {
  const first = `until ${untilWords(until, instant, timeZone)}`;
  return allBy - until < WORTH_A_WORD_MS ? first : `${first}, all by ${untilWords(allBy, instant, timeZone)}`;
}
type WetTimes = Pick<Extract<RoomNow, { kind: 'wet' }>, 'until' | 'allBy'>;
const WORTH_A_WORD_MS = 300_000;

export const isJoint = (kind: CoatedClass): kind is JointClass => kind !== 'fasteners' && kind !== 'surface';

/**
 * Says what a class that holds its room up would win by setting mud and by a fan.
 *
 * @example catchUpWords({ setting: { minutes: 45, hoursWon: 3 }, fanHours: 2 })
 * // 'This is holding up the room. 45-minute mud saves 3 h, a fan 2 h.'
 */
export function catchUpWords({ setting, fanHours }: Pick<CatchUp, 'setting' | 'fanHours'>): string {
  const fan = fanHours >= 0.5 ? spanWords(fanHours) : undefined;
  const mud = setting && `${setting.minutes}-minute mud saves ${spanWords(setting.hoursWon)}`;
  const ways = mud ? `${mud}${fan ? `, a fan ${fan}` : ''}` : `A fan saves ${fan ?? 'little'}`;
  return `This is holding up the room. ${ways}.`;
}
