import { z } from 'zod';
import type { Asks } from '../contract/asks';
import { checkDocumentSize, REQUEST_BOUNDS } from '../core/house/documentSize';
import { FINISHER_KINDS, type NewEntry, newEntrySchema } from '../core/log/entry';
import { problemsFromZod, problemText } from '../core/room/problem';
import type { PiecesOf } from '../db/checkEntries';
import { type AppendResult, appendEntries } from '../db/entries';
import { inFirm } from '../db/firm';
import type { Ran } from '../db/ranSince';
import { clashWords, type LoggedTwice } from '../words/loggedWords';
import { entryRules } from './entryRules';
import { loadSnapshot } from './loadSnapshot';
import { mayAct } from './mayAct';
import { notAhead } from './notAhead';
import { isOwnPage } from './ownPage';
import { readJson } from './readJson';
import { refuse } from './refuse';
import { signedIn } from './session';
import { cachedTakeOffs } from './takeOffs/cachedTakeOffs';
import { inFastLane } from './threads/fastLane';

const MOST_ENTRIES = 500;
const MOST_BYTES = 1_000_000;

/** A room is taken off once for its pages and what is put on in it. */
const piecesOf: PiecesOf = async (head, rooms) =>
  new Map([...(await cachedTakeOffs(head, rooms))].map(([room, { pieces }]) => [room, pieces] as const));

const bodySchema = z.strictObject({
  house: z.uuid('must be a house').toLowerCase(),
  /** Who said it, where a device kept it for a while: nobody else's sign-in sends it. */
  as: z.uuid('must be a person').toLowerCase().optional(),
  entries: z
    .array(newEntrySchema)
    .min(1, 'needs at least one entry')
    .max(MOST_ENTRIES, `must hold at most ${MOST_ENTRIES}`),
});

/**
 * `POST /api/entries` with `{ house, entries: […] }`, and `as` where a device kept them. Answers 200 with the `seq` of each entry when all are recorded; else
 * nothing is recorded: 400 with the place and reason, 401, 403, 404, or 409 for an id that is known with other content.
 */
export async function postEntries(request: Request): Promise<Response> {
  const person = await signedIn();
  if (!person) return refuse(401, 'You are signed out.');
  if (!isOwnPage(request)) return refuse(403, 'Entries come from this application only.');
  if (!mayAct(person, 'finisher')) return refuse(403, 'Viewers can’t log entries.');
  const body = await readJson(request, MOST_BYTES);
  if (body.kind === 'tooLarge') return refuse(413, 'The body is larger than 1 MB; send fewer entries at once.');
  if (body.kind === 'broken') return refuse(400, body.why);
  const [large] = checkDocumentSize(body.json, REQUEST_BOUNDS);
  if (large) return refuse(400, problemText(large), [large]);
  const parsed = bodySchema.safeParse(body.json, { reportInput: true });
  if (!parsed.success) {
    const problems = problemsFromZod(parsed.error);
    return refuse(400, problems[0] ? problemText(problems[0]) : 'The body is wrong.', problems);
  }
  const { house, entries: sent, as } = parsed.data;
  if (as !== undefined && as !== person.id)
    return refuse(401, 'You are signed in as someone else. This entry was written by another person.');
  const forbidden = sent.find(({ kind }) => !mayAct(person, FINISHER_KINDS.includes(kind) ? 'finisher' : 'lead'));
  if (forbidden) return refuse(403, `A ${person.role} may not record this (${forbidden.kind}).`);
  if (sent.some((entry) => entry.kind === 'signed' && (entry.payload.link ?? entry.payload.sheet) !== undefined))
    return refuse(403, 'Only the builder can sign on a share link.');
  return inFastLane(() =>
    inFirm(person.firm, async () => {
      const entries = await notAhead(sent);
      const rules = await entryRules(house, entries);
      const result = await appendEntries(house, person, entries, piecesOf, rules);
      if (result.kind === 'against') return result.why;
      return result.kind === 'ran' ? askWhichCounts(house, result.clashes, entries) : answerTo(result);
    }),
  );
}

/** Asks which of two coats counts that two people logged, one room at a time. */
async function askWhichCounts(house: string, ran: readonly Ran[], entries: readonly NewEntry[]): Promise<Response> {
  const { snapshot, people, timeZone } = await loadSnapshot(house);
  const own = ran.filter(({ room }) => room === ran[0]?.room);
  const clashes = own.flatMap(({ entry: id, by, at, payload, own: isOwn }): readonly LoggedTwice[] => {
    const entry = entries.find((sent) => sent.id === id);
    if (entry?.kind !== 'coat') return [];
    const who = isOwn ? undefined : (people.find((person) => person.id === by)?.name ?? 'Somebody');
    return [
      {
        who,
        theirs: { at: Date.parse(at), payload },
        mine: { at: Date.parse(entry.at), payload: entry.payload },
      },
    ];
  });
  const room = snapshot.rooms.find(({ room: { id } }) => id === own[0]?.room)?.room;
  const asks: Asks = {
    clashes: own.map(({ entry, theirs, own: isOwn, pieces }) => ({
      entry,
      theirs,
      ...(isOwn && { own: isOwn }),
      ...(pieces && { pieces }),
    })),
  };
  return refuse(409, clashWords(clashes, room, timeZone), undefined, asks);
}

function answerTo(result: Exclude<AppendResult, { kind: 'ran' | 'against' }>): Response {
  switch (result.kind) {
    case 'recorded':
      return Response.json({ seqs: result.seqs });
    case 'conflict':
      return refuse(409, `Entry ${result.id} is recorded already with other content.`);
    case 'noHouse':
      return refuse(404, 'There is no such house.');
    case 'noRoom':
      return refuse(404, `The house has no room "${result.room}".`);
    case 'wrong':
      return refuse(400, problemText(result.problem), [result.problem]);
    case 'handed':
      return refuse(
        409,
        'Somebody else assigned work in the same room in the meantime. Nothing was assigned: check the plan, then confirm again.',
      );
    case 'final':
      return refuse(409, 'A builder’s signature can’t be undone. The builder can sign again.');
    case 'notYours':
      return refuse(403, 'Only its author or a lead may take this back.');
  }
}
