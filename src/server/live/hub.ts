import { acrossFirms } from '../../db/firm';
import { type HouseMark, listMarks, marksFor } from '../../db/houses';
import type { LaserReading } from '../../db/lasers';
import { listenForChanges } from '../../db/listenForChanges';
import type { Member } from '../../db/people';

export type Marks = Readonly<Record<string, HouseMark>>;
type AllMarks = Awaited<ReturnType<typeof listMarks>>;

/** An open stream. */
export interface Listener {
  /** The sign-in that it was opened with, and ends with. */
  readonly session: string;
  /** Who is told of their houses. */
  readonly member: Member;
  readonly tell: (marks: Marks) => void;
  /** What their laser measure read, mm. */
  readonly read: (mm: number) => void;
  readonly close: () => void;
}

interface Hub {
  readonly listeners: Set<Listener>;
  readonly waiting: Set<string>;
  stop: (() => void) | undefined;
  closing: boolean;
}

/** Changes that come together are told together. */
const GATHER_MS = 60;

// One hub per process, also when two bundles of the server load this module.
const holder: { oakHub?: Hub } = globalThis as typeof globalThis & { oakHub?: Hub };

function hub(): Hub {
  if (!holder.oakHub) {
    holder.oakHub = { listeners: new Set(), waiting: new Set(), stop: undefined, closing: false };
    // Streams end first: the server waits for every open answer before it stops.
    for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, closeAll);
  }
  return holder.oakHub;
}

/** Returns how many streams a person has open at this server. */
export function openOf(person: string): number {
  let open = 0;
  for (const { member } of hub().listeners) if (member.id === person) open += 1;
  return open;
}

/** Whether the server is on its way to stop. */
export const isStopping = (): boolean => hub().closing;

/**
 * Tells a listener how far houses have come whenever one changes. The database only wakes; what is told is read anew, so
 * nothing can be missed.
 *
 * @returns ends the listening
 */
export function listen(listener: Listener): () => void {
  const { listeners, closing } = hub();
  if (closing) {
    listener.close();
    return () => undefined;
  }
  listeners.add(listener);
  const own = hub();
  own.stop ??= listenForChanges(
    (house) => gather(house),
    () => void tellAll(),
    closeOf,
    readingOf,
  );
  return () => {
    listeners.delete(listener);
    if (listeners.size > 0) return;
    own.stop?.();
    own.stop = undefined;
  };
}

/** A stream ends with its sign-in. */
function closeOf(session: string): void {
  for (const listener of [...hub().listeners]) if (listener.session === session) listener.close();
}

/** A reading is for the screens of one person. */
function readingOf({ firm, person, mm }: LaserReading): void {
  for (const { member, read } of hub().listeners) if (member.firm === firm && member.id === person) read(mm);
}

function gather(house: string): void {
  const { waiting } = hub();
  waiting.add(house);
  if (waiting.size === 1) setTimeout(() => void tellWaiting(), GATHER_MS);
}

async function tellWaiting(): Promise<void> {
  const { waiting } = hub();
  const houses = [...waiting];
  waiting.clear();
  if (houses.length > 1) return tellAll();
  // A database that is lost says so to the listening connection, which tells all when it is back.
  const marks = await acrossFirms(() => listMarks(houses[0])).catch(() => undefined);
  if (marks) tell(marks);
}

async function tellAll(): Promise<void> {
  const marks = await acrossFirms(() => listMarks()).catch(() => undefined);
  if (marks) tell(marks);
}

function tell(marks: AllMarks): void {
  for (const { tell: tellOne, member } of hub().listeners) {
    const own = marksFor(member, marks);
    if (Object.keys(own).length > 0) tellOne(own);
  }
}

function closeAll(): void {
  const own = hub();
  own.closing = true;
  own.stop?.();
  own.stop = undefined;
  for (const { close } of [...own.listeners]) close();
  own.listeners.clear();
}
