/** How far a house has come. */
export interface Mark {
  readonly seq: number;
  readonly air: number;
  readonly rooms: number;
}
/** How far houses have come, as the server tells it. */
export type Marks = Readonly<Record<string, Mark>>;

/** `joining` at first; `live` while a stream brings changes at once, `asking` while they are asked for, `lost` while nobody answers. */
export type LiveState = 'joining' | 'live' | 'asking' | 'lost';

type Told =
  | { readonly kind: 'marks'; readonly marks: Marks; readonly state: LiveState }
  | { readonly kind: 'hello' }
  | { readonly kind: 'laser'; readonly mm: number };
type Listener = (marks: Marks, state: LiveState) => void;

const NAME = 'oak-live';
const ASK_EVERY_MS = 10_000;
/** A stream that is away for longer is replaced by asking until it is back. */
const PATIENCE_MS = 4000;
const LOOK_EVERY_MS = 1000;

let marks: Marks = {};
let state: LiveState = 'joining';
const listeners = new Set<Listener>();
const lasers = new Set<(mm: number) => void>();
let started = false;

/**
 * Tells a listener of this tab how far houses have come. All tabs of a browser share one stream: the tab that holds the
 * lock reads it and passes on what it hears.
 *
 * @returns ends the listening
 */
export function listenToMarks(listener: Listener): () => void {
  if (!started) start();
  listeners.add(listener);
  listener(marks, state);
  return () => void listeners.delete(listener);
}

/**
 * Tells a listener of this tab what one's laser measure reads, mm.
 *
 * @returns ends the listening
 */
export function listenToLaser(listener: (mm: number) => void): () => void {
  if (!started) start();
  lasers.add(listener);
  return () => void lasers.delete(listener);
}

function start(): void {
  started = true;
  const channel = 'BroadcastChannel' in window ? new BroadcastChannel(NAME) : undefined;
  document.addEventListener('visibilitychange', () => {
    // A tab that slept may have missed what was passed on.
    if (document.visibilityState === 'visible') void ask().then((asked) => asked && hear(asked, state));
  });
  if (!channel || !navigator.locks) {
    lead(undefined);
    return;
  }
  let leads = false;
  channel.onmessage = ({ data }: MessageEvent<Told>) => {
    if (data.kind === 'hello') {
      if (leads) channel.postMessage({ kind: 'marks', marks, state } satisfies Told);
    } else if (data.kind === 'laser') read(data.mm);
    else if (!leads) hear(data.marks, data.state);
  };
  channel.postMessage({ kind: 'hello' } satisfies Told);
  void navigator.locks.request(NAME, () => {
    leads = true;
    lead(channel);
    // The lock is kept as long as the tab lives.
    return new Promise(() => undefined);
  });
}

function read(mm: number): void {
  for (const listener of lasers) listener(mm);
}

function hear(news: Marks, next: LiveState): void {
  marks = { ...marks, ...news };
  state = next;
  for (const listener of listeners) listener(marks, state);
}

/** Reads the stream for all tabs, and asks where there is none. */
function lead(channel: BroadcastChannel | undefined): void {
  let awaySince: number | undefined = performance.now();
  let askedAt = Number.NEGATIVE_INFINITY;
  const pass = (news: Marks, next: LiveState) => {
    hear(news, next);
    channel?.postMessage({ kind: 'marks', marks: news, state: next } satisfies Told);
  };
  const open = () => {
    const stream = new EventSource('/api/live');
    stream.addEventListener('marks', ({ data }: MessageEvent<string>) => {
      const told = marksIn(parsedJson(data));
      awaySince = undefined;
      if (told) pass(told, 'live');
    });
    stream.addEventListener('laser', ({ data }: MessageEvent<string>) => {
      const mm = Number(data);
      if (!Number.isFinite(mm)) return;
      read(mm);
      channel?.postMessage({ kind: 'laser', mm } satisfies Told);
    });
    stream.addEventListener('error', () => {
      awaySince ??= performance.now();
      // A refused stream is not opened again by the browser itself.
      if (stream.readyState === EventSource.CLOSED) setTimeout(open, ASK_EVERY_MS);
    });
  };
  open();
  setInterval(() => {
    const now = performance.now();
    if (awaySince === undefined || now - awaySince < PATIENCE_MS || now - askedAt < ASK_EVERY_MS) return;
    askedAt = now;
    void ask().then((asked) => awaySince !== undefined && pass(asked ?? {}, asked ? 'asking' : 'lost'));
  }, LOOK_EVERY_MS);
}

async function ask(): Promise<Marks | undefined> {
  try {
    const answer = await fetch('/api/live/marks', { cache: 'no-store' });
    if (answer.status === 401 && (await answer.json()).ended === true) await leaveThisDevice();
    return answer.ok ? marksIn(await answer.json()) : undefined;
  } catch {
    return undefined;
  }
}

/** Somebody ended the sign-in of this device: the houses that it keeps go, and so does what it shows. What was not sent stays. */
async function leaveThisDevice(): Promise<void> {
  await (await import('./outbox/deviceStore')).leaveNothing().catch(() => undefined);
  window.location.assign('/signin');
}

/** Every page carries this, so that no library looks at it: marks as the server writes them, or none. */
function marksIn(told: unknown): Marks | undefined {
  if (typeof told !== 'object' || told === null) return undefined;
  const isMark = (mark: unknown): mark is Mark =>
    typeof mark === 'object' &&
    mark !== null &&
    ['seq', 'air', 'rooms'].every((key) => typeof mark[key as keyof typeof mark] === 'number');
  return Object.values(told).every(isMark) ? (told as Marks) : undefined;
}

function parsedJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
