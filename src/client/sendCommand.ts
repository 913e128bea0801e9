import type { Answer } from '@/contract/answer';
import type { AnswerOf, CommandName, InputOf } from '@/contract/commands';

/** What to say when the server did not answer; nothing that was typed is lost. */
export const SERVER_LOST = 'The server did not answer. What you typed is still here; try again.';

/** Browsers keep at most 64 kB on the way for pages that are left. */
const KEPT_ON_THE_WAY = 60_000;

/** Sends JSON so that it arrives even when the page is left right after: reloaded, closed, or gone elsewhere. */
export const post = (url: string, content: object, signal?: AbortSignal): Promise<Response> => {
  const body = JSON.stringify(content);
  return fetch(url, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body,
    keepalive: body.length < KEPT_ON_THE_WAY,
    ...(signal ? { signal } : {}),
  });
};

/**
 * Sends one command. Refusals are values; it throws only when the server did not answer.
 *
 * @example await sendCommand('removeRoom', { house, room })  // { ok: true, value: null }
 */
export async function sendCommand<Name extends CommandName>(name: Name, input: InputOf<Name>): Promise<AnswerOf<Name>> {
  const response = await post(`/api/commands/${name}`, input);
  const answer: Answer<never> | undefined = await response.json().catch(() => undefined);
  if (answer === undefined || typeof answer.ok !== 'boolean') throw new Error(SERVER_LOST);
  return answer;
}
