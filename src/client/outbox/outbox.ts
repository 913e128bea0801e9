import type { Asks } from '@/contract/asks';
import type { Repeat } from '@/core/log/choices';
import type { Clash } from '@/core/log/clash';
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
  /** Takes groups out that are recorded; a device knows them until the house that it keeps has them. */
  readonly settle: (ids: readonly string[]) => Promise<void>;
  /** Marks a group as refused; where the server asks about a part of it, that part is what it is from then on. */
  readonly refuse: (id: string, why: string, asks?: Asks, entries?: readonly NewEntry[]) => Promise<void>;
}

/**
 * The answer: the same coat or the next one; the problems are fixed, or why they are covered; mine counts, theirs does, or both did part.
 */
export type Answer =
  | { readonly repeat: Repeat }
  | { readonly fixed: true }
  | { readonly why: string }
  | { readonly counts: 'mine' | 'theirs' | 'both' };

type Unstamped = { readonly kind: NewEntry['kind']; readonly room: string | null; readonly payload: object };
type Added = Pick<Extract<NewEntry, { kind: 'itemClosed' | 'void' }>, 'kind' | 'room' | 'payload'>;

/**
 * Returns entries with the answer to a question about them: none where somebody else's count.
 *
 * @param add makes an entry beside one of them
 */
export function withAnswer<One extends Unstamped & { readonly id?: string }>(
  entries: readonly One[],
  asks: Asks,
  answer: Answer,
  add: (entry: Added, beside: One) => One,
): readonly One[] {
  const coat = entries.find(({ kind }) => kind === 'coat');
  const saying = (more: object) => entries.map((entry) => (entry.kind === 'coat' ? withPayload(entry, more) : entry));
  if ('repeat' in answer) return saying(answer);
  if ('counts' in answer) {
    if (answer.counts === 'theirs') return [];
    const same = saying({ repeat: 'same', seen: undefined });
    const clashes = answer.counts === 'mine' ? (clashesIn(asks) ?? []) : [];
    const voids = clashes.flatMap(({ entry: id, theirs }) => {
      const own = entries.find((entry) => entry.id === id);
      return own ? [add({ kind: 'void', room: null, payload: { target: theirs, for: id } }, own)] : [];
    });
    return [...voids, ...same];
  }
  const items = asks !== 'sameCoat' && 'fixFirst' in asks ? asks.fixFirst : [];
  if ('why' in answer) return saying({ covers: { items, why: answer.why } });
  if (!coat) return entries;
  const closed = items.map((item) => add({ kind: 'itemClosed', room: coat.room ?? '', payload: { item } }, coat));
  return [...closed, ...entries];
}

/** Returns the clashes that a group asks about, if it asks about any. */
export const clashesIn = (asks: Asks | undefined): readonly Clash[] | undefined =>
  asks !== undefined && asks !== 'sameCoat' && 'clashes' in asks ? asks.clashes : undefined;

const withPayload = <One extends Unstamped>(entry: One, more: object): One => ({
  ...entry,
  payload: { ...entry.payload, ...more },
});

/**
 * Returns a group in two: what clashes with what somebody else logged, and the rest, which does not wait for the answer; undefined where
 * nothing is left.
 *
 * @param newId makes the ids of the split groups
 */
export function splitClashes(
  group: UnsentGroup,
  clashes: readonly Clash[],
  newId: () => string,
): { readonly asked: readonly NewEntry[]; readonly rest: UnsentGroup | undefined } {
  const byEntry = new Map(clashes.map((clash) => [clash.entry, clash]));
  const asked: NewEntry[] = [];
  const rest: NewEntry[] = [];
  for (const entry of group.entries) {
    const clash = byEntry.get(entry.id);
    if (!clash) rest.push(entry);
    else if (entry.kind !== 'coat' || !clash.pieces) asked.push(entry);
    else {
      const both = new Set(clash.pieces);
      const { pieces = [] } = entry.payload;
      const only = (own: typeof pieces) => ({ ...entry, payload: { ...entry.payload, pieces: own } });
      asked.push(only(pieces.filter((piece) => both.has(piece.id))));
      rest.push({ ...only(pieces.filter((piece) => !both.has(piece.id))), id: newId() });
    }
  }
  return { asked, rest: rest.length > 0 ? { ...group, id: newId(), entries: rest } : undefined };
}

/** An entry as it is sent. */
export type VersionedEntry = Omit<NewEntry, 'version'> & { readonly version: number };

/** What the server said to some entries: nothing where it is away. */
export type Sent =
  | { readonly kind: 'recorded' | 'signedOut' | 'away' }
  | {
      readonly kind: 'refused';
      readonly why: string;
      readonly asks?: Asks | undefined;
      /** What is asked about, where that is not all that was sent. */
      readonly entries?: readonly NewEntry[];
    };

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
  /** What clashes waits for an answer; the rest of its group is sent by itself, added before so that nothing is lost in between. */
  async function refuseOne(group: UnsentGroup, { why, asks }: Extract<Sent, { kind: 'refused' }>): Promise<void> {
    const clashes = clashesIn(asks);
    if (!clashes) return store.refuse(group.id, why, asks);
    const { asked, rest } = splitClashes(group, clashes, () => crypto.randomUUID());
    if (rest) await store.add(rest);
    await store.refuse(group.id, why, asks, asked);
  }
  return alone(async () => {
    /** Among so many of the first groups one was refused: halves of them are sent until it is found. */
    let suspects = 0;
    for (;;) {
      const batch = nextBatch(
        await store.all(),
        who,
        suspects > 0 ? Math.ceil(suspects / 2) : Number.POSITIVE_INFINITY,
      );
      const [first] = batch;
      if (!first) return 'empty';
      const stopped = await photosFirst(batch);
      if (stopped === 'refused') {
        suspects = 0;
        continue;
      }
      if (stopped) return stopped;
      const answer = await send(
        first.house,
        who,
        batch.flatMap(({ entries, version }) => entries.map((entry) => ({ ...entry, version }))),
      );
      const ids = batch.map(({ id }) => id);
      if (answer.kind === 'recorded') {
        await store.settle(ids);
        suspects = Math.max(0, suspects - ids.length);
      } else if (answer.kind !== 'refused') return answer.kind;
      else if (batch.length > 1) suspects = batch.length;
      else {
        await refuseOne(first, answer);
        suspects = 0;
      }
    }
  });
}

/** The first of what somebody has to send, with what follows it in the same house: at most so many groups. */
function nextBatch(groups: readonly UnsentGroup[], who: string, most: number): readonly UnsentGroup[] {
  const open = groups.filter((group) => group.who === who && group.refused === undefined);
  const [first] = open;
  if (!first) return [];
  const batch: UnsentGroup[] = [];
  let entries = 0;
  for (const group of open) {
    entries += group.entries.length;
    const goesAlong = group.house === first.house && entries <= MOST_AT_ONCE && batch.length < most;
    if (batch.length > 0 && !goesAlong) break;
    batch.push(group);
  }
  return batch;
}
