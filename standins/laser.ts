import { createInterface } from 'node:readline';
import { parseArgs } from 'node:util';

const HELP = `A laser measure that is not there: it sends readings to POST /api/laser, as a real one would.

  npm run standin:laser -- --key KEY [readings]

  --url URL   the application                      (http://127.0.0.1:3000)
  --key KEY   the measure's key, from Tally, By laser, Pair a laser measure

  Readings have their unit: 3.766m, 3766mm, "12' 4 1/2\\"", 148.5in. Without any, each line that is typed is one.
`;

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    url: { type: 'string', default: 'http://127.0.0.1:3000' },
    key: { type: 'string' },
    help: { type: 'boolean', default: false },
  },
});

async function send(reading: string): Promise<boolean> {
  const answer = await fetch(`${values.url}/api/laser`, {
    method: 'POST',
    headers: { authorization: `Bearer ${values.key}`, 'content-type': 'text/plain' },
    body: reading,
  });
  process.stdout.write(`${reading.trim()}: ${answer.status} ${await answer.text()}\n`);
  return answer.ok;
}

async function main(): Promise<void> {
  if (values.help) return void process.stdout.write(HELP);
  if (!values.key) throw new Error('--key is missing: it is made on Tally, By laser');
  let isGood = true;
  const readings = positionals.length > 0 ? positionals : createInterface({ input: process.stdin });
  for await (const reading of readings) if (reading.trim() !== '') isGood = (await send(reading)) && isGood;
  if (!isGood) process.exitCode = 1;
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exitCode = 2;
});
