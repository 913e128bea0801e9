import type { z } from 'zod';

/** What is wrong with a document and where, e.g. `rooms[2].openings[0].width` `must be greater than 0`. */
export interface Problem {
  readonly path: string;
  readonly reason: string;
  /** What would mend it, when there is one thing to do. */
  readonly mend?: 'reverse-outline';
}

/** Writes a path the way a person would: `rooms[2].openings[0].width`. */
export function pathText(path: readonly PropertyKey[]): string {
  return path.reduce<string>((text, step) => {
    if (typeof step === 'number') return `${text}[${step}]`;
    return text === '' ? String(step) : `${text}.${String(step)}`;
  }, '');
}

/** `rooms[2].height: must be greater than 0` */
export const problemText = ({ path, reason }: Problem): string => (path === '' ? reason : `${path}: ${reason}`);

/** The most problems of a document that are listed. */
export const MOST_PROBLEMS = 50;

/** Returns the first problems, and a line that there are more. */
export const firstProblems = (problems: readonly Problem[]): readonly Problem[] =>
  problems.length > MOST_PROBLEMS
    ? [...problems.slice(0, MOST_PROBLEMS), { path: '', reason: 'and more problems' }]
    : problems;

/**
 * Returns Zod's issues as problems in the words of this product: at most `MOST_PROBLEMS`, and a line that there are more.
 *
 * @param within where the parsed value stands in its document, such as `['rooms', 2]`
 */
export function problemsFromZod(error: z.ZodError, within: readonly PropertyKey[] = []): readonly Problem[] {
  const problems = error.issues.slice(0, MOST_PROBLEMS + 1).map((issue) => {
    const unknown = issue.code === 'unrecognized_keys' ? issue.keys[0] : undefined;
    const path = [...within, ...issue.path, ...(unknown === undefined ? [] : [unknown])];
    return { path: pathText(path), reason: unknown === undefined ? reasonOf(issue) : unknownField(issue.message) };
  });
  return firstProblems(problems);
}

/** A strict object whose fields are not built says so; any other has simply no such field. */
const unknownField = (message: string): string =>
  message.startsWith('Unrecognized') ? 'is not a field of the house file' : message;

function reasonOf(issue: z.core.$ZodIssue): string {
  if (issue.code === 'invalid_type' && issue.message.startsWith('Invalid input')) {
    return issue.input === undefined && issue.message.endsWith('received undefined')
      ? 'is missing'
      : `must be ${kindText(issue.expected)}`;
  }
  if (issue.code === 'invalid_value' && issue.message.startsWith('Invalid')) {
    if (issue.input === undefined) return 'is missing';
    return `must be one of ${issue.values.map((value) => JSON.stringify(value)).join(', ')}`;
  }
  return issue.message;
}

function kindText(expected: string): string {
  const kinds: Readonly<Record<string, string>> = {
    number: 'a number',
    int: 'a whole number',
    string: 'text',
    array: 'a list',
    tuple: 'a pair of numbers',
    object: 'an object',
    boolean: 'true or false',
  };
  return kinds[expected] ?? expected;
}
