import type { Air } from '../air/air';
import type { Tally } from '../joints/tally';
import type { LengthUnit } from '../measure/unit';
import type { Method } from '../method/resolveMethod';
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
  readonly why: string;
  readonly mend: { readonly words: string; readonly patch: MethodPatch };
}

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
