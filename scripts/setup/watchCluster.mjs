import { say, Trouble } from './say.mjs';

/** So often a database that ended by itself is started again. */
const MOST_ENDS = 3;

/**
 * Starts a database again that ended by itself, until there is nothing to watch any more; one that does so again and again is said.
 *
 * @param {{ isRunning: () => boolean, startAgain: () => Promise<unknown> }} cluster
 * @param {AbortSignal} cancelled
 * @param {number} [lookMs] how often it is looked at
 */
export async function watchCluster(cluster, cancelled, lookMs = 1000) {
  for (let ends = 0; !cancelled.aborted; await new Promise((resolve) => setTimeout(resolve, lookMs))) {
    if (cluster.isRunning() || cancelled.aborted) continue;
    ends += 1;
    if (ends > MOST_ENDS) throw new Trouble(`the database ended by itself ${ends} times. Its log is beside its data.`);
    say('The database ended by itself. Starting it again …');
    await cluster.startAgain();
  }
}
