import type { Air } from '../air/air';
import type { Tally } from '../joints/tally';
import type { LengthUnit } from '../measure/unit';
import type { Coat } from '../method/coat';
import type { Method } from '../method/resolveMethod';
import type { Level } from '../room/level';
import type { MethodClass, Question } from '../room/methodAnswers';
import type { Room } from '../room/schema';
import type { MethodPatch } from './methodPatch';

/** Two choices that do not go together, or a choice that the joint does not bear. */
export interface Conflict {
  readonly id: string;
  /** What is forbidden cannot be kept; what is doubtful is for the lead to say. */
  readonly severity: 'forbidden' | 'doubtful';
  readonly question: Question | 'level' | 'width';
  readonly class: MethodClass | undefined;
  /** The room whose own choices make it; undefined for the house. */
  readonly room: { readonly id: string; readonly name: string } | undefined;
  readonly why: Contradiction;
  readonly mend: MethodPatch;
}

/** What contradicts itself, with what it is said by. */
export type Contradiction =
  | {
      readonly rule:
        | 'meshInDryingMud'
        | 'meshInAngle'
        | 'meshOnButt'
        | 'settingMudLast'
        | 'textureUnsealed'
        | 'hardTopCoat'
        | 'bothSidesByKnife'
        | 'buttsTooHigh'
        | 'buttsInThisLight'
        | 'crossedSoft'
        | 'tapeInBead'
        | 'mudsOnOneAngle'
        | 'boxedUncentred';
    }
  | { readonly rule: 'driesBeforeItSets'; readonly coat: Coat }
  | { readonly rule: 'unsealed'; readonly level: Level }
  | { readonly rule: 'wetSidesMeet'; readonly threeWays: number }
  /** Coats after the tape. */
  | { readonly rule: 'tooFewCoats'; readonly level: Level; readonly asked: number; readonly chosen: number }
  /** `width` in the unit of the house. */
  | { readonly rule: 'buttsTooNarrow'; readonly width: number }
  /** mm of tape. */
  | { readonly rule: 'tooSmallForTaper'; readonly tape: number; readonly least: number };

/** A conflict that is not yet laid to a room. */
export type Found = Omit<Conflict, 'room'>;
/** What a check looks at: a method with what it is for. */
export interface Looked {
  readonly method: Method;
  readonly tally: Tally;
  readonly kinds: readonly MethodClass[];
  readonly finish: Room['finish'];
  readonly unit: LengthUnit;
  readonly air: Air;
}

/** One rule of the trade. */
export type Check = (looked: Looked) => readonly Found[];
