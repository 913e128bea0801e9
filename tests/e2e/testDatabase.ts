import pg from 'pg';

/** A database of the tests' cluster. */
export function urlOf(database: string): string {
  const url = new URL(process.env.OAK_CLUSTER_URL ?? '');
  url.pathname = `/${database}`;
  return url.href;
}

/** Runs statements in a database of the tests' cluster. */
export async function query<Row extends pg.QueryResultRow>(
  text: string,
  database = 'postgres',
  values: readonly unknown[] = [],
): Promise<readonly Row[]> {
  const client = new pg.Client({ connectionString: urlOf(database) });
  await client.connect();
  try {
    return (await client.query<Row>(text, [...values])).rows;
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
