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
