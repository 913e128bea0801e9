import type { Asks } from '@/contract/asks';
import type { Repeat } from '@/core/log/choices';
import type { NewEntry } from '@/core/log/entry';

/** What was said at once: its entries are recorded all together or not at all. */
export interface UnsentGroup {
  readonly id: string;
  readonly house: string;
  /** Who said it: nobody else sends it. */
  readonly who: string;
  /** Of the entries' form: the application may be a newer one by the time they are sent. */
  readonly version: number;
  readonly entries: readonly NewEntry[];
  /** Photos that they name, which are sent before them. */
  readonly photos?: readonly string[];
  /** Why the server will not have it; undefined while it was not asked, or did not answer. */
  readonly refused?: string;
  /** The server asks back before it records it. */
  readonly asks?: Asks;
}

/** Where groups lie until the server has answered, in the order in which they came. Each call is on disk, or fails. */
export interface OutboxStore {
  readonly add: (group: UnsentGroup) => Promise<void>;
  readonly all: () => Promise<readonly UnsentGroup[]>;
  readonly remove: (ids: readonly string[]) => Promise<void>;
  readonly refuse: (id: string, why: string, asks?: Asks) => Promise<void>;
}

/** The answer: the same coat or the next one; the problems are fixed; or why they are covered. */
export type Answer = { readonly repeat: Repeat } | { readonly fixed: true } | { readonly why: string };

type Unstamped = { readonly kind: NewEntry['kind']; readonly room: string | null; readonly payload: object };

/**
 * Returns entries with the answer to a question about them.
 *
 * @param close makes the entry that a problem is fixed, beside the coat that asked for it
 */
export function withAnswer<One extends Unstamped>(
  entries: readonly One[],
  asks: Asks,
  answer: Answer,
  close: (item: string, coat: One) => One,
): readonly One[] {
  const items = asks === 'sameCoat' ? [] : asks.fixFirst;
  const coat = entries.find(({ kind }) => kind === 'coat');
  if ('fixed' in answer) return coat ? [...items.map((item) => close(item, coat)), ...entries] : entries;
  const more = 'repeat' in answer ? answer : { covers: { items, why: answer.why } };
  return entries.map((entry) => (entry.kind === 'coat' ? { ...entry, payload: { ...entry.payload, ...more } } : entry));
}

/** An entry as it is sent. */
export type VersionedEntry = Omit<NewEntry, 'version'> & { readonly version: number };

/** What the server said to some entries: nothing where it is away. */
export type Sent =
  | { readonly kind: 'recorded' | 'signedOut' | 'away' }
  | { readonly kind: 'refused'; readonly why: string; readonly asks?: Asks | undefined };

/** How a sending ended: with nothing left to send, or before. */
export type SendingEnd = 'empty' | 'signedOut' | 'away';

export interface OutboxParts {
  readonly store: OutboxStore;
  readonly send: (house: string, who: string, entries: readonly VersionedEntry[]) => Promise<Sent>;
  /** Sends a photo that is kept here; sent again it is the same. */
  readonly sendPhoto: (house: string, photo: string) => Promise<Sent>;
  /** Runs something while no other page of this device does. */
  readonly alone: <Value>(run: () => Promise<Value>) => Promise<Value>;
}

/** So many entries are sent at once. */
const MOST_AT_ONCE = 200;

/**
 * Sends what one person said and was not recorded yet, in order, several groups at once. A group that is refused is marked and
 * the others go on; what the server does not answer to stays, with its ids, so that it is recorded once however often it is
 * sent.
 */
export function sendUnsent({ store, send, sendPhoto, alone }: OutboxParts, who: string): Promise<SendingEnd> {
  /** Entries are not recorded before the photos that they name. */
  async function photosFirst(batch: readonly UnsentGroup[]): Promise<'refused' | 'signedOut' | 'away' | undefined> {
    for (const { id, house, photos = [] } of batch) {
      for (const photo of photos) {
        const answer = await sendPhoto(house, photo);
        if (answer.kind === 'recorded') continue;
        if (answer.kind === 'refused') await store.refuse(id, answer.why);
        return answer.kind;
      }
    }
    return undefined;
  }
  return alone(async () => {
    /** Of several that were refused together each is asked by itself. */
    const apart = new Set<string>();
    for (;;) {
      const batch = nextBatch(await store.all(), who, apart);
      const [first] = batch;
      if (!first) return 'empty';
      const stopped = await photosFirst(batch);
      if (stopped === 'refused') continue;
      if (stopped) return stopped;
      const answer = await send(
        first.house,
        who,
        batch.flatMap(({ entries, version }) => entries.map((entry) => ({ ...entry, version }))),
      );
      const ids = batch.map(({ id }) => id);
      if (answer.kind === 'recorded') await store.remove(ids);
      else if (answer.kind !== 'refused') return answer.kind;
      else if (batch.length === 1) await store.refuse(first.id, answer.why, answer.asks);
      else for (const id of ids) apart.add(id);
    }
  });
}

/** The first of what somebody has to send, with what follows it in the same house. */
function nextBatch(groups: readonly UnsentGroup[], who: string, apart: ReadonlySet<string>): readonly UnsentGroup[] {
  const open = groups.filter((group) => group.who === who && group.refused === undefined);
  const [first] = open;
  if (!first || apart.has(first.id)) return open.slice(0, 1);
  const batch: UnsentGroup[] = [];
  let entries = 0;
  for (const group of open) {
    entries += group.entries.length;
    const goesAlong = group.house === first.house && !apart.has(group.id) && entries <= MOST_AT_ONCE;
    if (batch.length > 0 && !goesAlong) break;
    batch.push(group);
  }
  return batch;
}
