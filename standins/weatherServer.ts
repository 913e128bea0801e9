import { createServer } from 'node:http';
import { DEMO_WEATHER_SEED, DEMO_WEATHER_URL } from './demoSensors';
import { weatherReport } from './weather';

/**
 * A weather service that is not there: `npm run standin:weather [PORT]` serves `GET /weather?seed=N` on loopback, hours
 * that were and hours to come as JSON.
 */
const port = Number(process.argv[2] ?? new URL(DEMO_WEATHER_URL).port);

const server = createServer((request, response) => {
  const url = new URL(request.url ?? '/', 'http://127.0.0.1');
  if (url.pathname !== '/weather') {
    response.writeHead(404, { 'content-type': 'application/json' }).end('{"message":"There is only /weather."}');
    return;
  }
  const seed = Number(url.searchParams.get('seed') ?? DEMO_WEATHER_SEED);
  response
    .writeHead(200, { 'content-type': 'application/json' })
    .end(JSON.stringify(weatherReport(Number.isFinite(seed) ? seed : DEMO_WEATHER_SEED, Date.now())));
});
server.on('error', (error) => {
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 1;
});
server.listen(port, '127.0.0.1', () => process.stdout.write(`Weather at http://127.0.0.1:${port}/weather\n`));
