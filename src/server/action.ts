import type { z } from 'zod';
import { type Answer, refused } from '../core/house/answer';
import { problemsFromZod } from '../core/house/problem';
import type { Role } from '../db/models';
import type { Person } from '../db/people';
import { signedIn } from './session';

const RANK: Readonly<Record<Role, number>> = { viewer: 0, finisher: 1, lead: 2 };

/** Whether a person may do what needs at least this role. */
export const mayAct = (person: Person, role: Role): boolean => RANK[person.role] >= RANK[role];

/**
 * The one way to change anything from a page: checks who asks, what their role may do and what they sent, and only then
 * runs. Answers in values; throws for faults of our own only.
 *
 * @param role the least role that may do it
 */
export function action<Schema extends z.ZodType, Value>(
  schema: Schema,
  role: Role,
  run: (input: z.output<Schema>, person: Person) => Promise<Answer<Value>>,
): (input: z.input<Schema>) => Promise<Answer<Value>> {
  return async (input) => {
    const person = await signedIn();
    if (!person) return refused('signedOut', 'You are signed out. Sign in again in another tab, then repeat this.');
    if (!mayAct(person, role))
      return refused('notAllowed', `This is for a ${role}; you are signed in as a ${person.role}.`);
    return checked(schema, input, (value) => run(value, person));
  };
}

/** The same for what needs no sign-in. */
export function openAction<Schema extends z.ZodType, Value>(
  schema: Schema,
  run: (input: z.output<Schema>) => Promise<Answer<Value>>,
): (input: z.input<Schema>) => Promise<Answer<Value>> {
  return async (input) => checked(schema, input, run);
}

async function checked<Schema extends z.ZodType, Value>(
  schema: Schema,
  input: unknown,
  run: (value: z.output<Schema>) => Promise<Answer<Value>>,
): Promise<Answer<Value>> {
  const parsed = schema.safeParse(input, { reportInput: true });
  if (parsed.success) return run(parsed.data);
  const problems = problemsFromZod(parsed.error);
  return refused(
    'invalid',
    problems[0] ? `${problems[0].path}: ${problems[0].reason}` : 'The input is wrong.',
    problems,
  );
}
