import { isConnectionLost } from '../db/connection';
import { refuse } from './refuse';
import { asRequest, faultOf, REQUEST_ID, requestId, requestLog, whoAsks } from './requestLog';
import { Busy, places } from './threads/places';

const LOST = 'The database does not answer. Send the same again; an entry is recorded once.';
const BUSY = 'The server is busy. Try again in a few seconds.';
const FAULT = 'This went wrong on the server. Try again; if it stays so, tell who runs it';

/** Of one browser, which opens six connections, and of all together. */
const requestPlaces = places({ each: 32, all: 1000 });

/**
 * Answers a request that is none for a page: says 503 where the database cannot be reached and 500 in one sentence where
 * something is wrong, and writes one line about it.
 *
 * @param route what is asked for, as the log calls it
 */
export async function handle(request: Request, route: string, run: () => Promise<Response>): Promise<Response> {
  const id = requestId(request.headers.get(REQUEST_ID));
  const from = performance.now();
  return asRequest(async () => {
    const [answer, fault] = await answerOf(id, () => requestPlaces(senderOf(request), run));
    const line = {
      request: id,
      method: request.method,
      route,
      status: answer.status,
      ms: Math.round(performance.now() - from),
      ...whoAsks(),
      ...fault,
    };
    if (answer.status < 500) requestLog().info(line);
    else requestLog().error(line);
    answer.headers.set(REQUEST_ID, id);
    return answer;
  });
}

/** Who sends, before anything is looked up: a browser, a sensor or an address. */
const senderOf = ({ headers }: Request): string =>
  headers.get('cookie') ?? headers.get('authorization') ?? headers.get('x-forwarded-for') ?? '';

async function answerOf(id: string, run: () => Promise<Response>): Promise<readonly [Response, object]> {
  try {
    return [await run(), {}];
  } catch (error) {
    return [refusalOf(error, id), faultOf(error)];
  }
}

function refusalOf(error: unknown, id: string): Response {
  if (error instanceof Busy) return refuse(503, BUSY);
  return isConnectionLost(error) ? refuse(503, LOST) : refuse(500, `${FAULT} (${id}).`);
}
