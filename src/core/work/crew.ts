import { z } from 'zod';
import { daySchema } from '../measure/instant';
import { SHIFT } from './shift';
import { SKILLS } from './workItem';

const noTwice = (list: readonly unknown[]) => new Set(list).size === list.length;
const days = (most: number) => z.array(daySchema).max(most, `are more than ${most} days`).default([]);

/** Of one person, in the money of the firm. */
const hourCost = z.number().min(0, 'must be 0 or more').max(10_000, 'must be at most 10,000');

const weekdays = z.array(z.int().min(1).max(7)).min(1, 'need at least one').max(7).refine(noTwice, 'name one twice');

/** How somebody works. */
export const memberSchema = z.strictObject({
  hours: z.number().min(1, 'must be at least 1').max(14, 'must be at most 14').default(8),
  /** With none of them somebody is not planned for. */
  skills: z.array(z.enum(SKILLS)).max(SKILLS.length).refine(noTwice, 'name one twice'),
  /** Works beside somebody, never alone. */
  learner: z.boolean().default(false),
  off: days(400),
  /** Monday is 1; the days of the crew where it does not say. */
  weekdays: weekdays.optional(),
  /** The only house in which they work; any where it does not say. */
  house: z.uuid('must be a house').toLowerCase().optional(),
  /** What an hour costs; that of the crew where it does not say. */
  hourCost: hourCost.optional(),
});
export type Member = z.infer<typeof memberSchema>;

/** A tool of which there are few, by its name: `box-10`, `taper`, `lamp`. */
const toolName = z
  .string()
  .regex(/^[a-z]+(-\d{1,3})?$/, 'is no tool')
  .max(30);

/** How a crew works: its days, its people and what it has few of. Who or what is not named is as usual. */
export const crewSchema = z.strictObject({
  /** Monday is 1. */
  weekdays: weekdays.default([1, 2, 3, 4, 5]),
  /** The hour at which a day begins. */
  begins: z.number().min(0, 'must be at least 0').max(20, 'must be at most 20').default(SHIFT.from),
  holidays: days(400),
  tools: z.record(toolName, z.int().min(0, 'must be 0 or more').max(99, 'must be at most 99')).default({}),
  /** Minutes: what takes less is no visit of its own, see `visitsOf`. */
  leastVisit: z.number().min(0, 'must be 0 or more').max(240, 'must be at most 240').default(30),
  /** Hours that somebody stays in a house at least on the day on which they come to it. */
  stay: z.number().min(0, 'must be 0 or more').max(10, 'must be at most 10').default(4),
  /** Minutes from one house to another. */
  travel: z.number().min(0, 'must be 0 or more').max(240, 'must be at most 240').default(20),
  /** What an hour of one person costs, in the money of the firm; undefined where nobody says. */
  hourCost: hourCost.optional(),
  people: z.record(z.uuid('must be a person').toLowerCase(), memberSchema).default({}),
});
export type Crew = z.infer<typeof crewSchema>;
