import { isConnectionLost } from '../db/connection';

/** A refusal as JSON: what a script or a form can show as it is. */
export const refuse = (status: number, message: string, problems?: object): Response =>
  Response.json({ message, ...(problems ? { problems } : {}) }, { status });

/** Runs a route handler; a database that cannot be reached is said with 503 instead of a fault. */
export async function reachable(run: () => Promise<Response>): Promise<Response> {
  try {
    return await run();
  } catch (error) {
    if (!isConnectionLost(error)) throw error;
    return refuse(503, 'The database does not answer. Send the same again; an entry is recorded once.');
  }
}
