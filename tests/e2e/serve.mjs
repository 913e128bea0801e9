import { spawn } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import pg from 'pg';
import { serveArguments } from '../../scripts/setup/build.mjs';
import { databaseCommand } from '../../scripts/setup/database.mjs';

/** Serves the test build on a database of its own: `serve.mjs NAME PORT [--demo]`. */
const [name, port, ...options] = process.argv.slice(2);
const cluster = new pg.Client({ connectionString: process.env.OAK_CLUSTER_URL });
await cluster.connect();
await cluster.query(`DROP DATABASE IF EXISTS ${name} WITH (FORCE)`);
await cluster.query(`CREATE DATABASE ${name}`);
await cluster.end();
const url = new URL(process.env.OAK_CLUSTER_URL);
url.pathname = `/${name}`;
const env = { DATABASE_URL: url.href };
await databaseCommand('prepare', options, env);
if (process.env.OAK_TEST_CLOCK) writeFileSync(process.env.OAK_TEST_CLOCK, '0');
const server = spawn(process.execPath, serveArguments(port), {
  stdio: 'inherit',
  env: {
    ...process.env,
    ...env,
    NODE_ENV: 'production',
    SESSION_SECRET: 'a secret for tests, of at least 32 characters',
  },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
