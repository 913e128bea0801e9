import { MOST_KNOWN } from '@/core/log/choices';
import type { NewEntry } from '@/core/log/entry';
import { outboxState } from './outbox/theOutbox';

/** The coats that were written in this tab since it was opened: the page may not show them yet. */
const written: NewEntry[] = [];

/**
 * Adds to coats which entries of the same coat their writer knows of: those of this tab, and where a page shows what waits on the device,
 * those too.
 */
export function withKnown(entries: readonly NewEntry[], showsUnsent: boolean): readonly NewEntry[] {
  const { groups, sent } = outboxState();
  const known = showsUnsent ? [...written, ...[...groups, ...sent].flatMap((group) => group.entries)] : written;
  const knowing = entries.map((entry): NewEntry => {
    if (entry.kind !== 'coat' || entry.payload.seen === undefined) return entry;
    const { class: kind, key } = entry.payload;
    const same = known.flatMap((own) =>
      own.kind === 'coat' && own.room === entry.room && own.payload.class === kind && own.payload.key === key
        ? [own.id]
        : [],
    );
    const knew = [...new Set(same)].slice(-MOST_KNOWN);
    return knew.length === 0 ? entry : { ...entry, payload: { ...entry.payload, knew } };
  });
  written.push(...knowing.filter(({ kind }) => kind === 'coat'));
  return knowing;
}
