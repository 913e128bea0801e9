import { inFirm } from '../../db/firm';
import { listMarks, marksFor } from '../../db/houses';
import type { Member } from '../../db/people';
import { refuse } from '../refuse';
import { currentSession, renewSession, signedIn, wasSignedIn } from '../session';
import { inFastLane } from '../threads/fastLane';
import { isStopping, listen, type Marks, openOf } from './hub';

const BEAT_MS = 20_000;
/** A stream ends after an hour; the browser opens another one, and who it is is asked again. */
const LONGEST_MS = 3_600_000;
const AGAIN_MS = 2000;
/** All tabs of a browser share one. */
const MOST_STREAMS = 8;
/** Messages that wait for a reader; it opens another stream, which tells it all. */
const MOST_UNREAD = 200;

/** A browser that asks again and again over a kept connection would keep a stopping server alive: it is closed. */
const stopping = (): Response =>
  Response.json({ message: 'The server stops.' }, { status: 503, headers: { connection: 'close' } });

/**
 * `GET /api/live`: one stream of events for a browser. Each says how far houses have come; the first one says it of all,
 * so that a page that comes back knows what it missed.
 */
export async function liveStream(request: Request): Promise<Response> {
  if (isStopping()) return stopping();
  const current = await currentSession();
  if (!current) return signedOut();
  const { id: session, person: member } = current;
  if (openOf(member.id) >= MOST_STREAMS) return refuse(503, 'You have too many pages open. Close some.');
  await renewSession();
  const first = await ownMarks(member);
  const encoder = new TextEncoder();
  let gone = () => {};
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      let open = true;
      const send = (text: string) => {
        if (!open) return;
        controller.enqueue(encoder.encode(text));
        // A reader that never reads would be written for without end.
        if ((controller.desiredSize ?? 0) < -MOST_UNREAD) close();
      };
      const tell = (marks: Marks) => send(`event: marks\ndata: ${JSON.stringify(marks)}\n\n`);
      const read = (mm: number) => send(`event: laser\ndata: ${mm}\n\n`);
      let stop = () => {};
      const end = () => {
        open = false;
        clearInterval(beat);
        clearTimeout(longest);
        stop();
      };
      const close = () => {
        if (!open) return;
        end();
        controller.close();
      };
      const beat = setInterval(() => send(': still here\n\n'), BEAT_MS);
      const longest = setTimeout(close, LONGEST_MS);
      gone = end;
      send(`retry: ${AGAIN_MS}\n\n`);
      tell(first);
      request.signal.addEventListener('abort', close);
      stop = listen({ session, member, tell, read, close });
    },
    // The reader has closed the stream already.
    cancel: () => gone(),
  });
  return new Response(body, {
    headers: {
      'content-type': 'text/event-stream; charset=utf-8',
      // Nobody on the way may keep or squeeze it: events would arrive late.
      'cache-control': 'no-cache, no-transform',
      'x-accel-buffering': 'no',
    },
  });
}

/** `GET /api/live/marks`: the same once, for browsers that cannot keep a stream open. */
export async function liveMarks(): Promise<Response> {
  if (isStopping()) return stopping();
  const member = await signedIn();
  if (!member) return signedOut();
  await renewSession();
  return Response.json(await inFastLane(() => ownMarks(member)), { headers: { 'cache-control': 'no-store' } });
}

/** A device whose sign-in was ended is told so: it forgets the houses that it keeps. */
async function signedOut(): Promise<Response> {
  return Response.json({ message: 'You are signed out.', ended: await wasSignedIn() }, { status: 401 });
}

const ownMarks = async (member: Member): Promise<Marks> =>
  marksFor(member, await inFirm(member.firm, () => listMarks()));
