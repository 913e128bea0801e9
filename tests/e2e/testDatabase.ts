import pg from 'pg';

/** A database of the tests' cluster. */
export function urlOf(database: string): string {
  const url = new URL(process.env.OAK_CLUSTER_URL ?? '');
  url.pathname = `/${database}`;
  return url.href;
}

/**
 * Runs statements in a database of the tests' cluster.
 *
 * @throws Error where several rows come back in no order that the statement names: it is another one on another day
 */
export async function query<Row extends pg.QueryResultRow>(
  text: string,
  database = 'postgres',
  values: readonly unknown[] = [],
): Promise<readonly Row[]> {
  const client = new pg.Client({ connectionString: urlOf(database) });
  await client.connect();
  try {
    const { rows } = await client.query<Row>(text, [...values]);
    if (rows?.length > 1 && !/order by/i.test(text)) throw new Error(`Several rows without ORDER BY: ${text}`);
    return rows;
  } finally {
    await client.end();
  }
}

/** Keeps everybody else from changing a house, as a database that is slow to write does, until what it returns is called. */
export async function lockHouse(database: string, id: string): Promise<() => Promise<void>> {
  const client = new pg.Client({ connectionString: urlOf(database) });
  await client.connect();
  await client.query('BEGIN');
  await client.query('SELECT FROM houses WHERE id = $1 FOR UPDATE', [id]);
  return () => client.end();
}
