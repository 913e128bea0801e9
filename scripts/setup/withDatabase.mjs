import { runningCluster, startCluster } from './cluster.mjs';
import { onlyRun } from './onlyRun.mjs';

/**
 * Works on this checkout's database: the one that `DATABASE_URL` names, or that of a running application, which goes on; else
 * the cluster is started for the work and stopped after it.
 *
 * @param work gets the database's address
 */
export async function withDatabase(work) {
  const url = process.env.DATABASE_URL ?? runningCluster()?.('postgres');
  if (url) return work(url);
  const run = await onlyRun();
  try {
    const cluster = await startCluster({ env: run.env, told: (place) => run.told({ cluster: place }) });
    await work(cluster.url('postgres'));
  } finally {
    await run.end();
  }
}
