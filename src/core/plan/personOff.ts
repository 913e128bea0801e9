import type { PlanInput } from './planInput';

type Own = PlanInput['people'][number];

/** A plan without somebody on some days. */
export interface PersonOff {
  readonly input: PlanInput;
  /** The same with nothing new for them at all: by its plan what comes back is shared out among the others. */
  readonly sharing: PlanInput;
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
  const handedOn = Object.fromEntries(handed.filter((entry) => !isFreed(entry)));
  const withOwn = (change: (own: Own) => Own) => input.people.map((own) => (own.id === person ? change(own) : own));
  const isOff = (own: Own): Own => ({ ...own, off: [...new Set([...own.off, ...days])].sort() });
  return {
    input: { ...input, people: withOwn(isOff), handed: handedOn },
    sharing: { ...input, people: withOwn((own) => ({ ...isOff(own), skills: [] })), handed: handedOn },
    freed: handed.filter(isFreed).flatMap(([item]) => (open.has(item) ? [item] : [])),
  };
}
