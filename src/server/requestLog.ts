import { AsyncLocalStorage } from 'node:async_hooks';
import { randomUUID } from 'node:crypto';
import { mkdirSync, openSync, writeSync } from 'node:fs';
import { dirname } from 'node:path';
import pino, { type DestinationStream, type Logger } from 'pino';
import type { Member } from '../db/people';

/** What a request carries to be found in the log by; whoever passed it on may have given it. */
export const REQUEST_ID = 'x-request-id';
/** Where a page lies, told to it by the proxy. */
export const PAGE_PATH = 'x-oak-path';

/** A request that is answered now. */
interface Asked {
  member?: Pick<Member, 'id' | 'firm' | 'role'>;
}

// One per process, also when several bundles of the server load this module.
const holder: { oakLog?: Logger; oakAsked?: AsyncLocalStorage<Asked> } = globalThis as typeof globalThis & {
  oakLog?: Logger;
  oakAsked?: AsyncLocalStorage<Asked>;
};

/**
 * One line of JSON for each request: which, who, what, how long. It goes to the file that `OAK_LOG` names, otherwise to the
 * standard output. Nothing of what was asked or answered is in it.
 */
export function requestLog(): Logger {
  holder.oakLog ??= pino(
    { level: process.env.OAK_LOG_LEVEL ?? 'info', base: null, timestamp: pino.stdTimeFunctions.isoTime },
    destination(process.env.OAK_LOG),
  );
  return holder.oakLog;
}

const STANDARD_OUTPUT = 1;

/** Where lines go, each at once. A log that cannot be written, on a full disk for one, keeps nobody from the application. */
function destination(file: string | undefined): DestinationStream {
  const to = (file && opened(file)) || STANDARD_OUTPUT;
  return {
    write: (line) => {
      try {
        writeSync(to, line);
      } catch {
        // There is nowhere to say it.
      }
    },
  };
}

function opened(file: string): number | undefined {
  try {
    mkdirSync(dirname(file), { recursive: true });
    return openSync(file, 'a');
  } catch {
    return undefined;
  }
}

function asked(): AsyncLocalStorage<Asked> {
  holder.oakAsked ??= new AsyncLocalStorage();
  return holder.oakAsked;
}

/** A name for a request: the one that it came with, if it is one, or a new one. */
export function requestId(given: string | null): string {
  return given !== null && /^[\w.:-]{1,64}$/.test(given) ? given : randomUUID();
}

/** A path as the log has it: what opens something for whoever knows it is not in it. */
export const pathWithoutSecret = (path: string): string =>
  path.replace(/^(\/(?:api\/)?(?:shown|calendar))\/[^/?]+/, '$1/…');

/** Runs what a request asks for, so that who asks can be noted on the way. */
export const asRequest = <Value>(run: () => Value): Value => asked().run({}, run);

/** Notes who asks. */
export function noteMember(member: Member): void {
  const store = asked().getStore();
  if (store) store.member = member;
}

/** Who asks, as the log tells it: by ids, never by name. */
export const whoAsks = (member = asked().getStore()?.member): object =>
  member ? { person: member.id, firm: member.firm, role: member.role } : {};

/** What went wrong, without the words of it: they may hold what somebody typed, or a statement. */
export function faultOf(error: unknown): object {
  if (!(error instanceof Error)) return { fault: typeof error };
  const { original } = error as Error & { readonly original?: { readonly code?: string } };
  const where = (error.stack ?? '')
    .split('\n')
    .filter((line) => /^\s+at /.test(line))
    .slice(0, 8)
    .map((line) => line.trim());
  return { fault: error.name, ...(original?.code === undefined ? {} : { code: original.code }), where };
}
