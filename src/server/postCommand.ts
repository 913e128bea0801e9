import { type Answer, refused } from '../contract/answer';
import { COMMANDS, type CommandName, isCommandName } from '../contract/commands';
import { checkDocumentSize, REQUEST_BOUNDS } from '../core/house/documentSize';
import { problemsFromZod, problemText } from '../core/room/problem';
import { inFirm } from '../db/firm';
import type { Member } from '../db/people';
import { airCommands } from './commands/airCommands';
import type { Handlers } from './commands/handler';
import { houseCommands } from './commands/houseCommands';
import { methodCommands } from './commands/methodCommands';
import { peopleCommands } from './commands/peopleCommands';
import { planCommands } from './commands/planCommands';
import { roomCommands } from './commands/roomCommands';
import { mayAct } from './mayAct';
import { isOwnPage } from './ownPage';
import { readJson } from './readJson';
import { signedIn } from './session';
import { inFastLane } from './threads/fastLane';

const HANDLERS: Handlers = {
  ...peopleCommands,
  ...houseCommands,
  ...methodCommands,
  ...roomCommands,
  ...airCommands,
  ...planCommands,
};

/** Files of 4 MB come as JSON; nothing else is nearly as large. */
const MOST_BYTES = 1_000_000;
const MOST_BYTES_WITH_FILE = 5_000_000;
const WITH_FILE: readonly CommandName[] = ['importHouse', 'mergeHouse'];

const STATUS = { signedOut: 401, notAllowed: 403, invalid: 400, notFound: 404, stale: 409, tooMany: 429 } as const;
/** Nobody: what needs no sign-in does not ask who it is. */
const NOBODY: Member = { firm: '', id: '', name: '', role: 'viewer' };

/**
 * `POST /api/commands/NAME` with the input of the command as JSON: the one way to change anything but the log. Asks who
 * sends, what their role may do and what they sent, in this order, and only then runs.
 */
export async function postCommand(request: Request, name: string): Promise<Response> {
  const answer = await answerTo(request, name);
  return Response.json(answer, { status: answer.ok ? 200 : STATUS[answer.kind] });
}

async function answerTo(request: Request, name: string): Promise<Answer<unknown>> {
  if (!isCommandName(name)) return refused('notFound', 'There is no such command.');
  const { role } = COMMANDS[name];
  if (!isOwnPage(request)) return refused('notAllowed', 'Commands come from this application only.');
  const person = role === 'anyone' ? NOBODY : await signedIn();
  if (!person) return refused('signedOut', 'You are signed out. Sign in again in another tab, then repeat this.');
  if (role !== 'anyone' && !mayAct(person, role))
    return refused('notAllowed', `This is for a ${role}; you are signed in as a ${person.role}.`);
  const body = await readJson(request, WITH_FILE.includes(name) ? MOST_BYTES_WITH_FILE : MOST_BYTES);
  if (body.kind === 'tooLarge') return refused('invalid', 'This is more than can be sent at once.');
  if (body.kind === 'broken') return refused('invalid', body.why);
  const [large] = checkDocumentSize(body.json, WITH_FILE.includes(name) ? undefined : REQUEST_BOUNDS);
  if (large) return refused('invalid', problemText(large), [large]);
  return WITH_FILE.includes(name) ? run(name, body.json, person) : inFastLane(() => run(name, body.json, person));
}

async function run<Name extends CommandName>(name: Name, json: unknown, person: Member): Promise<Answer<unknown>> {
  const { schema, role } = COMMANDS[name];
  const parsed = schema.safeParse(json, { reportInput: true });
  if (!parsed.success) {
    const problems = problemsFromZod(parsed.error);
    const [first] = problems;
    return refused('invalid', first ? `${first.path}: ${first.reason}` : 'The input is wrong.', problems);
  }
  const handler: (input: never, by: Member) => Promise<Answer<unknown>> = HANDLERS[name];
  const handled = () => handler(parsed.data as never, person);
  // Who needs no sign-in has no firm yet.
  return role === 'anyone' ? handled() : inFirm(person.firm, handled);
}
