import { z } from 'zod';
import { whyNotHandedOver } from '../core/inspect/signOff';
import type { NewEntry } from '../core/log/entry';
import { foldName } from '../core/log/foldName';
import { shortText, strokesSchema, uuid } from '../core/log/payloads';
import { problemsFromZod, problemText } from '../core/room/problem';
import type { RoomSnapshot } from '../core/snapshot/houseSnapshot';
import { now } from '../db/clock';
import { appendEntries } from '../db/entries';
import { inFirm } from '../db/firm';
import { findShown } from '../db/shownHouses';
import { keepSheet } from '../db/signedSheets';
import { loadSnapshot } from './loadSnapshot';
import { isOwnPage } from './ownPage';
import { readJson } from './readJson';
import { refuse } from './refuse';
import { sheetNow } from './signedSheets';

const MOST_BYTES = 1_000_000;
const MOST_ROOMS = 100;
/** Limits the signatures of a room, so that a leaked link can't fill the log. Rework takes a few rounds at most. */
const MOST_SIGNATURES = 20;

const bodySchema = z.strictObject({
  name: shortText(80),
  strokes: strokesSchema,
  sheets: z
    .array(
      z.strictObject({
        /** Of the entry: the same signature sent twice counts once. */
        id: uuid('must be an id'),
        room: z.string().min(1).max(60),
        /** The hash of the sheet that was read. */
        sheet: z.string().regex(/^[0-9a-f]{64}$/, 'must be a sheet'),
      }),
    )
    .min(1, 'need at least one room')
    .max(MOST_ROOMS, `are more than ${MOST_ROOMS}: sign some of them first`),
});

/**
 * `POST /api/shown/SECRET`: records a builder's signature for the rooms of a share link, each with the sheet that was read. What was
 * signed is kept word for word under its hash. Answers 404 for a link that ended, 409 where a sheet has changed since it was read, is
 * not ready, or is signed by this name already; then nothing is recorded.
 */
export async function postSignature(secret: string, request: Request): Promise<Response> {
  if (!isOwnPage(request)) return refuse(403, 'Signatures come from this application only.');
  const shown = await findShown(secret);
  if (shown?.what !== 'handOver') return refuse(404, 'This link has ended. Nothing was signed. Ask for a new link.');
  const body = await readJson(request, MOST_BYTES);
  if (body.kind === 'tooLarge') return refuse(413, 'The drawing is too large. Draw it again, shorter.');
  if (body.kind === 'broken') return refuse(400, body.why);
  const parsed = bodySchema.safeParse(body.json, { reportInput: true });
  if (!parsed.success) {
    const problems = problemsFromZod(parsed.error);
    return refuse(400, problems[0] ? problemText(problems[0]) : 'The body is wrong.', problems);
  }
  const { name, strokes, sheets } = parsed.data;
  return inFirm(shown.firm, async () => {
    const { snapshot, log, people } = await loadSnapshot(shown.house);
    const fresh = sheets.filter(({ id }) => !log.has(id));
    const at = new Date(now()).toISOString();
    const entries: NewEntry[] = [];
    const kept: [hash: string, sheet: object][] = [];
    for (const { id, room: asked, sheet } of fresh) {
      const room = snapshot.rooms.find((candidate) => candidate.room.id === asked);
      if (!room) return refuse(404, 'One of these rooms is not in the house any more. Load the page again.');
      const current = sheetNow(room, people);
      const refusal = whyNotSignable(room, name, sheet, current.hash);
      if (refusal) return refuse(409, refusal);
      kept.push([current.hash, current.sheet]);
      const payload = { name, as: 'builder' as const, strokes, sheet, link: shown.id };
      entries.push({ id, room: asked, at, kind: 'signed', payload });
    }
    for (const [hash, sheet] of kept) await keepSheet(shown.house, hash, sheet);
    // Whoever made the link answers for what is recorded through it.
    const result = await appendEntries(shown.house, { id: shown.madeBy, role: 'lead' }, entries);
    return result.kind === 'recorded'
      ? Response.json({ signed: sheets.length })
      : refuse(409, 'The signature was not recorded. Load the page again, then sign.');
  });
}

/** Returns why a sheet cannot be signed; undefined where it can. */
function whyNotSignable(room: RoomSnapshot, name: string, read: string, current: string): string | undefined {
  const { signatures } = room.state;
  if (whyNotHandedOver(room)) return `${room.room.name} is not ready to be signed for.`;
  if (read !== current)
    return `The sheet of ${room.room.name} changed while you were reading. Load the page again and read it, then sign.`;
  if (signatures.some((own) => own.sheet === current && foldName(own.name) === foldName(name)))
    return `${name} has signed this sheet of ${room.room.name} already.`;
  return signatures.length >= MOST_SIGNATURES ? `${room.room.name} has too many signatures.` : undefined;
}
