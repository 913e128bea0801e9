import { parseArgs } from 'node:util';
import { DEMO_SENSORS } from './demoSensors';
import { type StandInRoom, readings } from './room';

const HELP = `Room sensors that are not there: they send made-up readings to POST /api/readings, as real ones would.

  npm run standin:sensors -- [options]

  --url URL      the application              (http://127.0.0.1:3000)
  --key KEY      a device's key; may be given several times (the sensors of the demo house)
  --every S      seconds between readings     (60)
  --back HOURS   first send what lies before  (0)
  --fan M/S      a fan that blows from now on (none)
  --seed N       other rooms                  (11)
  --once         send what lies before, then end
`;
const HOUR_MS = 3_600_000;
const MOST = 10_000;

const { values } = parseArgs({
  options: {
    url: { type: 'string', default: 'http://127.0.0.1:3000' },
    key: { type: 'string', multiple: true },
    every: { type: 'string', default: '60' },
    back: { type: 'string', default: '0' },
    fan: { type: 'string' },
    seed: { type: 'string', default: '11' },
    once: { type: 'boolean', default: false },
    help: { type: 'boolean', default: false },
  },
});

interface Sensor {
  readonly key: string;
  readonly room: StandInRoom;
  sentTo: number;
}

/** Sends what was read since the last time; what could not be sent stays for the next time. */
async function send(sensor: Sensor, step: number): Promise<string> {
  const now = Date.now();
  const waiting = readings(sensor.room, sensor.sentTo + 1, now, step).slice(0, MOST);
  const last = waiting.at(-1);
  if (!last) return 'nothing new';
  try {
    const answer = await fetch(`${values.url}/api/readings`, {
      method: 'POST',
      headers: { authorization: `Bearer ${sensor.key}`, 'content-type': 'application/json' },
      body: JSON.stringify({ readings: waiting }),
    });
    const told = await answer.text();
    if (answer.ok) sensor.sentTo = Date.parse(last.at);
    return `${answer.status} ${told}`;
  } catch (error) {
    return `not sent: ${error instanceof Error ? error.message : String(error)}`;
  }
}

async function main(): Promise<void> {
  if (values.help) return void process.stdout.write(HELP);
  const every = Number(values.every) * 1000;
  const from = Date.now() - Number(values.back) * HOUR_MS;
  if (!(every >= 1000) || !Number.isFinite(from)) throw new Error('--every is at least 1, --back a number of hours');
  const fan = values.fan === undefined ? undefined : { from: Date.now(), speed: Number(values.fan) };
  const simulated = values.key
    ? values.key.map((key, index) => ({ key, sim: { seed: Number(values.seed) + index, heatedTo: 18 + (index % 4) } }))
    : DEMO_SENSORS;
  const sensors = simulated.map(
    ({ key, sim }): Sensor => ({ key, room: { ...sim, wetAt: [], ...(fan ? { fan } : {}) }, sentTo: from - 1 }),
  );
  for (;;) {
    for (const sensor of sensors) process.stdout.write(`${sensor.key.slice(0, 20)}: ${await send(sensor, every)}\n`);
    if (values.once && sensors.every(({ sentTo }) => Date.now() - sentTo < every)) return;
    if (!values.once) await new Promise((resolve) => setTimeout(resolve, every));
  }
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exitCode = 2;
});
