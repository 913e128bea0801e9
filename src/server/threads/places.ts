/** Refuses work because too much of it is being done or waits; it can be asked for again later. */
export class Busy extends Error {
  override readonly name = 'Busy';
}

/** How much work of one kind is let in at once. */
export interface Most {
  /** Of one person. */
  readonly each: number;
  /** Of everybody together. */
  readonly all: number;
}

/**
 * Limits how much work of one kind is let in at once, so that what waits takes a bounded amount of memory and one person never takes all
 * places.
 *
 * @returns a function that runs work for somebody, or throws `Busy` at once where no place is left
 *
 * @example
 * const photos = places({ each: 4, all: 12 });
 * await photos(person.id, () => draw(bytes));
 */
export function places({ each, all }: Most): <Value>(person: string, run: () => Promise<Value>) => Promise<Value> {
  const taken = new Map<string, number>();
  let inAll = 0;
  return async (person, run) => {
    const own = taken.get(person) ?? 0;
    if (own >= each || inAll >= all) throw new Busy();
    taken.set(person, own + 1);
    inAll += 1;
    try {
      return await run();
    } finally {
      const left = (taken.get(person) ?? 1) - 1;
      if (left > 0) taken.set(person, left);
      else taken.delete(person);
      inAll -= 1;
    }
  };
}
