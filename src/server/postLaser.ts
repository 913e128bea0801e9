import { readLaser } from '../core/measure/readLaser';
import { inFirm } from '../db/firm';
import { findLaser, tellReading } from '../db/lasers';
import { readBytes } from './readBytes';
import { refuse } from './refuse';

const MOST_BYTES = 4000;
/** More lines at once are a log, and nobody's next measure. */
const MOST_LINES = 20;

/**
 * `POST /api/laser` with a reading a line (`3.766 m`, `12' 4 1/2"`) and the measure's key as `Authorization: Bearer …`: each goes
 * to the screens of its person, and is kept nowhere. Answers 200 once the good ones are told, with each refused one and the
 * reason; 401 for a wrong key, 400 where no line is a reading.
 */
export async function postLaser(request: Request): Promise<Response> {
  const key = /^Bearer (\S+)$/i.exec(request.headers.get('authorization') ?? '')?.[1];
  const laser = key ? await findLaser(key) : undefined;
  if (!laser)
    return refuse(401, key ? 'No laser measure has this key.' : 'The key is missing: Authorization: Bearer KEY.');
  const body = await readBytes(request, MOST_BYTES);
  if (body.kind === 'tooLarge') return refuse(413, 'A reading is a short line.');
  if (body.kind !== 'bytes') return refuse(400, 'There is no reading in this.');
  const lines = body.bytes
    .toString('utf8')
    .split('\n')
    .filter((line) => line.trim() !== '');
  if (lines.length === 0) return refuse(400, 'There is no reading in this.');
  if (lines.length > MOST_LINES) return refuse(400, `At most ${MOST_LINES} readings at once.`);
  const read = lines.map((line, index) => ({ index, result: readLaser(line) }));
  const good = read.flatMap(({ result }) => (result.ok ? [result.mm] : []));
  await inFirm(laser.firm, async () => {
    for (const mm of good) await tellReading({ ...laser, mm });
  });
  const refused = read.flatMap(({ index, result }) => (result.ok ? [] : [{ line: index + 1, reason: result.reason }]));
  const [first] = refused;
  if (good.length === 0 && first) return refuse(400, `Line ${first.line} ${first.reason}.`);
  return Response.json({ read: good.length, refused });
}
