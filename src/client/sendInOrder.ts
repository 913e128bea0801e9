import type { Answer } from '@/contract/answer';
import type { Change } from '@/contract/change';
import { MOST_UNANSWERED } from '@/contract/limits';

/** Sends something as one change of its lane. */
type Send<Value> = (change: Change) => Promise<Answer<Value>>;

interface Waiting {
  readonly send: Send<unknown>;
  readonly answered: (answer: Promise<Answer<unknown>>) => void;
}

/** What of a lane is on the way, what waits for it, and what was sent and never answered: newest first. */
interface Lane {
  busy: boolean;
  waiting: Waiting[];
  unanswered: readonly string[];
}

const lanes = new Map<string, Lane>();
let listens = false;

/**
 * Sends changes of one thing one after the other, so that the last one made is the last one kept. Of those that wait only
 * the newest is sent: each says the whole of it. When the page is left, what still waits is sent at once. In whatever order
 * they arrive, and whether or not an answer was heard, each says what was sent before it, so that the server keeps the last.
 *
 * @param lane what is changed: the order of a house's rooms, the method of one room
 */
export function sendInOrder<Value>(lane: string, send: Send<Value>): Promise<Answer<Value>> {
  if (!listens) {
    listens = true;
    window.addEventListener('pagehide', sendAllThatWait);
  }
  const own = lanes.get(lane) ?? { busy: false, waiting: [], unanswered: [] };
  lanes.set(lane, own);
  if (!own.busy) return start(own, send);
  return new Promise((resolve, reject) => {
    const answered = (answer: Promise<Answer<unknown>>) =>
      // The answer is that of the change whose place this one took or gave up.
      (answer as Promise<Answer<Value>>).then(resolve, reject);
    own.waiting.push({ send, answered });
  });
}

function start<Value>(lane: Lane, send: Send<Value>): Promise<Answer<Value>> {
  lane.busy = true;
  const answer = asChange(lane, send);
  const next = () => {
    lane.busy = false;
    sendNewest(lane, start);
  };
  // Whoever waits for the answer takes it in first: the next one may build on it.
  const taken = () => undefined;
  void answer.then(taken, taken).then(next);
  return answer;
}

function asChange<Value>(lane: Lane, send: Send<Value>): Promise<Answer<Value>> {
  const id = crypto.randomUUID();
  const after = lane.unanswered;
  lane.unanswered = [id, ...after].slice(0, MOST_UNANSWERED);
  const answer = send({ id, after });
  // What has been answered is known, and so is what was before it.
  const heard = () => {
    const at = lane.unanswered.indexOf(id);
    if (at >= 0) lane.unanswered = lane.unanswered.slice(0, at);
  };
  void answer.then(heard, () => undefined);
  return answer;
}

function sendNewest(lane: Lane, how: typeof start): void {
  const newest = lane.waiting.at(-1);
  if (!newest) return;
  const replaced = lane.waiting;
  lane.waiting = [];
  const sent = how(lane, newest.send);
  for (const { answered } of replaced) answered(sent);
}

function sendAllThatWait(): void {
  for (const lane of lanes.values()) sendNewest(lane, asChange);
}
