import type { Asks } from '@/contract/asks';
import type { NewEntry } from '@/core/log/entry';
import { ENTRY_VERSION } from '@/core/log/liftEntry';
import { post } from '../sendCommand';
import { addUnsent, deviceStore, sentGroups, type UnsentPhoto, unsentPhoto } from './deviceStore';
import {
  type Answer,
  clashesIn,
  type SendingEnd,
  type Sent,
  sendUnsent,
  splitClashes,
  type UnsentGroup,
  type VersionedEntry,
  withAnswer,
} from './outbox';

/** What waits on this device, as pages show it. */
export interface OutboxState {
  readonly groups: readonly UnsentGroup[];
  /** Groups that the server recorded and that the houses kept on the device do not show yet. */
  readonly sent: readonly UnsentGroup[];
  /** How the last sending ended. */
  readonly end: SendingEnd;
}

const NAME = 'oak-outbox';
const PATIENCE_MS = 20_000;
const [SOONEST_MS, LATEST_MS] = [2000, 60_000];

let state: OutboxState = { groups: [], sent: [], end: 'empty' };
const listeners = new Set<() => void>();
let timer: ReturnType<typeof setTimeout> | undefined;
let wait = SOONEST_MS;
let sender: string | undefined;
let channel: BroadcastChannel | undefined;

/** Tells a listener when something came or went, here or in another tab. */
export function listenToOutbox(listener: () => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

export const outboxState = (): OutboxState => state;
export const EMPTY_OUTBOX: OutboxState = state;

/**
 * From now on sends what somebody said on this device: at once, when there is a network again, and from time to time.
 *
 * @param who the person who is signed in; undefined where nobody knows it
 */
export function startOutbox(who: string | undefined): void {
  sender = who ?? sender;
  if (!channel && 'BroadcastChannel' in window) {
    channel = new BroadcastChannel(NAME);
    channel.onmessage = () => void look();
    window.addEventListener('online', () => void sendNow());
    document.addEventListener('visibilitychange', () => {
      if (document.visibilityState === 'visible') void sendNow();
    });
  }
  void sendNow();
}

/** What became of something said: kept where this device will send it, away where nobody has it. */
export type Said = Sent | { readonly kind: 'kept' };

/**
 * Keeps on this device what the person who is signed in says, sends it behind what waits already, and tells what became of it.
 * Where the browser keeps nothing it is only sent.
 *
 * @param id of all of it; said again with the same one it is the same
 * @param photos those that the entries name
 */
export async function sayToServer(
  id: string,
  house: string,
  entries: readonly NewEntry[],
  photos: readonly UnsentPhoto[] = [],
): Promise<Said> {
  const who = sender;
  const sendHere = async (): Promise<Said> => {
    for (const photo of photos) {
      const answer = await sendPhoto(house, photo.id, photo.bytes);
      if (answer.kind !== 'recorded') return answer;
    }
    const answer = await sendEntries(house, who, versioned(entries));
    const clashes = answer.kind === 'refused' ? clashesIn(answer.asks) : undefined;
    if (!clashes) return answer;
    const group = { id, house, who: who ?? '', version: ENTRY_VERSION, entries };
    const { asked, rest } = splitClashes(group, clashes, () => crypto.randomUUID());
    const sent = rest ? await sendEntries(house, who, versioned(rest.entries)) : answer;
    return answer.kind === 'refused' && (!rest || sent.kind === 'recorded') ? { ...answer, entries: asked } : sent;
  };
  if (who === undefined) return sendHere();
  try {
    const known = (await deviceStore.all()).some((group) => group.id === id);
    const named = photos.length > 0 ? { photos: photos.map((photo) => photo.id) } : {};
    if (!known) await addUnsent({ id, house, who, version: ENTRY_VERSION, entries, ...named }, photos);
  } catch {
    return sendHere();
  }
  const end = await sendNow();
  const left = state.groups.find((group) => group.id === id);
  if (!left) return { kind: 'recorded' };
  if (left.refused !== undefined) {
    await dropUnsent(id);
    return { kind: 'refused', why: left.refused, asks: left.asks, entries: left.entries };
  }
  return { kind: end === 'signedOut' ? 'signedOut' : 'kept' };
}

const versioned = (entries: readonly NewEntry[]): readonly VersionedEntry[] =>
  entries.map((entry) => ({ ...entry, version: ENTRY_VERSION }));

/** Sends all that waits; tries again later where the server does not answer. */
export async function sendNow(): Promise<SendingEnd> {
  clearTimeout(timer);
  const who = sender;
  if (who === undefined) return state.end;
  const end = await sendUnsent({ store: deviceStore, send: sendEntries, sendPhoto: sendKept, alone }, who).catch(
    () => 'empty' as const,
  );
  await look(end);
  if (end === 'away') timer = setTimeout(() => void sendNow(), wait);
  wait = end === 'away' ? Math.min(LATEST_MS, 2 * wait) : SOONEST_MS;
  return end;
}

/** Sends a group again with the answer to what the server asked back. */
export async function answerUnsent(group: UnsentGroup, answer: Answer): Promise<void> {
  const { refused: _refused, asks, ...rest } = group;
  if (!asks) return;
  const entries = withAnswer<NewEntry>(
    rest.entries,
    asks,
    answer,
    (added, { at, deviceAt }) => ({ ...added, id: crypto.randomUUID(), at, ...(deviceAt && { deviceAt }) }) as NewEntry,
  );
  await deviceStore.remove([group.id]);
  if (entries.length > 0) await addUnsent({ ...rest, entries }, []);
  await sendNow();
}

/** Gives up on a group. */
export async function dropUnsent(id: string): Promise<void> {
  await deviceStore.remove([id]);
  await look();
}

/** Reads what waits and tells everybody. */
async function look(end: SendingEnd = state.end): Promise<void> {
  const [groups, sent] = await Promise.all([deviceStore.all(), sentGroups()]).catch(
    () => [state.groups, state.sent] as const,
  );
  const isSame = end === state.end && JSON.stringify([groups, sent]) === JSON.stringify([state.groups, state.sent]);
  if (isSame) return;
  const isOwnNews = end !== state.end || groups.length !== state.groups.length;
  state = { groups, sent, end };
  for (const listener of listeners) listener();
  if (isOwnNews) channel?.postMessage('changed');
}

const alone = <Value>(run: () => Promise<Value>): Promise<Value> =>
  navigator.locks ? (navigator.locks.request(NAME, run) as Promise<Value>) : run();

/** One request; what is no answer of the application is none. */
async function sendEntries(house: string, who: string | undefined, entries: readonly VersionedEntry[]): Promise<Sent> {
  try {
    const response = await post(
      '/api/entries',
      { house, ...(who === undefined ? {} : { as: who }), entries },
      AbortSignal.timeout(PATIENCE_MS),
    );
    return await answerOf(response);
  } catch {
    return { kind: 'away' };
  }
}

/** A photo that waits here. */
async function sendKept(house: string, id: string): Promise<Sent> {
  const bytes = await unsentPhoto(id);
  // What is gone cannot be sent: the entry that names it says so.
  return bytes ? sendPhoto(house, id, bytes) : { kind: 'recorded' };
}

async function sendPhoto(house: string, id: string, bytes: ArrayBuffer): Promise<Sent> {
  try {
    const signal = AbortSignal.timeout(PATIENCE_MS);
    return await answerOf(await fetch(`/api/photos/${house}/${id}`, { method: 'PUT', body: bytes, signal }));
  } catch {
    return { kind: 'away' };
  }
}

async function answerOf(response: Response): Promise<Sent> {
  if (response.ok) return { kind: 'recorded' };
  if (response.status === 401) return { kind: 'signedOut' };
  const { message, asks }: { message?: string; asks?: Asks } = await response.json().catch(() => ({}));
  // Only an answer of ours says that nothing was recorded.
  return response.status < 500 && message !== undefined ? { kind: 'refused', why: message, asks } : { kind: 'away' };
}
