import { isConnectionLost } from '../db/connection';
import { refuse } from './refuse';
import { asRequest, faultOf, REQUEST_ID, requestId, requestLog, whoAsks } from './requestLog';

const LOST = 'The database does not answer. Send the same again; an entry is recorded once.';
const FAULT = 'This went wrong on the server. Try again; if it stays so, tell who runs it';

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
    const [answer, fault] = await answerOf(id, run);
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

async function answerOf(id: string, run: () => Promise<Response>): Promise<readonly [Response, object]> {
  try {
    return [await run(), {}];
  } catch (error) {
    return [isConnectionLost(error) ? refuse(503, LOST) : refuse(500, `${FAULT} (${id}).`), faultOf(error)];
  }
}
