import { z } from 'zod';
import { sortReadings } from '../core/air/reading';
import { problemsFromZod, problemText } from '../core/room/problem';
import { now } from '../db/clock';
import { findDevice, noteLag } from '../db/devices';
import { inFirm } from '../db/firm';
import { recordReadings } from '../db/readings';
import { readJson } from './readJson';
import { refuse } from './refuse';

const MOST_READINGS = 10_000;
const MOST_BYTES = 5_000_000;
const TAKEN = 'is recorded already with other values';

const bodySchema = z.strictObject({
  readings: z
    .array(z.unknown())
    .min(1, 'needs at least one reading')
    .max(MOST_READINGS, `must hold at most ${MOST_READINGS}`),
});

/**
 * `POST /api/readings` with `{ readings: [{ at, temperature, humidity, airSpeed? }] }` and the device's key as
 * `Authorization: Bearer …`. Late, repeated and unordered ones are welcome. Answers 200 once the good ones are recorded,
 * with each refused one and the reason; 401 for a wrong key, 400 for a body that is no such thing.
 */
export async function postReadings(request: Request): Promise<Response> {
  const key = /^Bearer (\S+)$/i.exec(request.headers.get('authorization') ?? '')?.[1];
  const device = key ? await findDevice(key) : undefined;
  if (!device)
    return refuse(401, key ? 'No device has this key.' : 'The device’s key is missing: Authorization: Bearer KEY.');
  const sent = await readJson(request, MOST_BYTES);
  if (sent.kind === 'tooLarge') return refuse(413, 'The body is larger than 5 MB; send fewer readings at once.');
  if (sent.kind === 'broken') return refuse(400, sent.why);
  const body = bodySchema.safeParse(sent.json, { reportInput: true });
  if (!body.success) {
    const problems = problemsFromZod(body.error);
    return refuse(400, problems[0] ? problemText(problems[0]) : 'The body is wrong.', problems);
  }
  const received = now();
  const { kept, repeated, refused } = sortReadings(body.data.readings, received);
  const result = await inFirm(device.firm, async () => {
    const done = await recordReadings(device.houseId, device.id, device.roomId, kept);
    if (done && done.recorded > 0) await noteLag(device.id, (received - Math.max(...kept.map(({ at }) => at))) / 1000);
    return done;
  });
  if (!result) return refuse(404, 'The house of this device is gone.');
  const taken = new Set(result.conflicts);
  return Response.json({
    recorded: result.recorded,
    known: result.known + repeated,
    doubtful: kept.filter(({ doubt }) => doubt).length,
    refused: [...refused, ...kept.flatMap(({ at, index }) => (taken.has(at) ? [{ index, reason: TAKEN }] : []))].sort(
      (a, b) => a.index - b.index,
    ),
  });
}
