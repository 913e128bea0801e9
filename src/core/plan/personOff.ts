import type { PlanInput } from './planInput';

/** A plan without somebody on some days. */
export interface PersonOff {
  readonly input: PlanInput;
  /** The items, by id, that come back: what they had for these days, and what is left from before. */
  readonly freed: readonly string[];
}

/**
 * Returns the input of a plan in which somebody is off on some days: what was assigned to them until then comes back, what they
 * share with somebody too.
 *
 * @param days YYYY-MM-DD, the first one first
 */
export function withPersonOff(input: PlanInput, person: string, days: readonly string[]): PersonOff {
  const last = days.at(-1) ?? '';
  const isFreed = ([, { people, day }]: readonly [string, PlanInput['handed'][string]]) =>
    people.includes(person) && day <= last;
  const handed = Object.entries(input.handed);
  const open = new Set(input.items.map(({ id }) => id));
  return {
    input: {
      ...input,
      people: input.people.map((own) =>
        own.id === person ? { ...own, off: [...new Set([...own.off, ...days])].sort() } : own,
      ),
      handed: Object.fromEntries(handed.filter((entry) => !isFreed(entry))),
    },
    freed: handed.filter(isFreed).flatMap(([item]) => (open.has(item) ? [item] : [])),
  };
}
