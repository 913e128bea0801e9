import type { Member } from '@/core/work/crew';
import type { Skill } from '@/core/work/workItem';

/** A person as the form holds them: what is typed is read when it is kept. */
export interface MemberDraft {
  readonly hours: string;
  readonly skills: readonly Skill[];
  readonly learner: boolean;
  readonly off: readonly string[];
  /** Undefined where they work on the days of the crew. */
  readonly weekdays: readonly number[] | undefined;
  readonly house: string | undefined;
  /** Empty where it is that of the crew. */
  readonly hourCost: string;
}

/** Returns how a person stands in the form at first. */
export const draftOf = ({ hours, skills, learner, off, weekdays, house, hourCost }: Member): MemberDraft => ({
  hours: String(hours),
  skills,
  learner,
  off,
  weekdays,
  house,
  hourCost: hourCost === undefined ? '' : String(hourCost),
});

/** Reads a person from the form; a number that cannot be read is NaN, which the server refuses. */
export const memberIn = ({ hours, skills, learner, off, weekdays, house, hourCost }: MemberDraft): Member => ({
  hours: numberIn(hours),
  skills: [...skills],
  learner,
  off: [...off],
  ...(weekdays && { weekdays: weekdays.toSorted((a, b) => a - b) }),
  ...(house && { house }),
  ...(hourCost.trim() !== '' && { hourCost: numberIn(hourCost) }),
});

/** Reads a number with a point or a comma; NaN where there is none. */
export const numberIn = (text: string): number => (text.trim() === '' ? Number.NaN : Number(text.replace(',', '.')));
