import type { Entry } from './entry';

/** Setting mud as somebody mixed it. */
export interface Batch {
  readonly id: string;
  readonly by: string;
  /** When it was mixed, ms since 1970. */
  readonly at: number;
  /** On the label: its working time. */
  readonly minutes: number;
  readonly product: string | undefined;
  /** Litres. */
  readonly amount: number | undefined;
}

export const MIXED: ReadonlySet<Entry['kind']> = new Set(['mixed']);

/** A pan is emptied by then: so many times its working time. Recoat is at 1.5; what is on the wall is logged a little later. */
const FORGOTTEN_AFTER = 3;

/**
 * The batches that somebody mixed and may be using still, the last one first.
 *
 * @param entries of the kind `MIXED`
 */
export const batchesOf = (entries: readonly Entry[], person: string, now: number): readonly Batch[] =>
  entries
    .flatMap((entry): readonly Batch[] => {
      if (entry.kind !== 'mixed' || entry.by !== person) return [];
      const { minutes, product, amount } = entry.payload;
      return [{ id: entry.id, by: entry.by, at: Date.parse(entry.at), minutes, product, amount }];
    })
    .filter(({ at, minutes }) => at <= now && now - at < minutes * FORGOTTEN_AFTER * 60_000)
    .sort((a, b) => b.at - a.at);
