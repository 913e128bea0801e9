import type { Answer } from '@/contract/answer';

/**
 * Sends something; `ahead` of it in its lane are so many that have not been answered yet (0 but when the page is left).
 */
type Send<Value> = (ahead: number) => Promise<Answer<Value>>;

interface Waiting {
  readonly send: Send<unknown>;
  readonly answered: (answer: Promise<Answer<unknown>>) => void;
}

/** What is on the way in a lane, and the one that goes next. */
interface Lane {
  waiting: Waiting[];
}

const lanes = new Map<string, Lane>();
let listens = false;

/**
 * Sends changes of one thing one after the other, so that the last one made is the last one kept. Of those that wait only
 * the newest is sent: each says the whole of it. When the page is left, what still waits is sent at once.
 *
 * @param lane what is changed: the order of a house's rooms, the method of one room
 */
export function sendInOrder<Value>(lane: string, send: Send<Value>): Promise<Answer<Value>> {
  if (!listens) {
    listens = true;
    window.addEventListener('pagehide', sendAllThatWait);
  }
  const busy = lanes.get(lane);
  if (!busy) {
    lanes.set(lane, { waiting: [] });
    return settle(lane, send(0));
  }
  return new Promise((resolve, reject) => {
    const answered = (answer: Promise<Answer<unknown>>) =>
      // The answer is that of the change whose place this one took or gave up.
      (answer as Promise<Answer<Value>>).then(resolve, reject);
    busy.waiting.push({ send, answered });
  });
}

function settle<Value>(name: string, answer: Promise<Answer<Value>>): Promise<Answer<Value>> {
  const next = () => {
    const lane = lanes.get(name);
    const newest = lane?.waiting.at(-1);
    if (!lane || !newest) return void lanes.delete(name);
    const replaced = lane.waiting;
    lane.waiting = [];
    const sent = settle(name, newest.send(0));
    for (const { answered } of replaced) answered(sent);
  };
  // Whoever waits for the answer takes it in first: the next one may build on it.
  const taken = () => undefined;
  void answer.then(taken, taken).then(next);
  return answer;
}

function sendAllThatWait(): void {
  for (const lane of lanes.values()) {
    const newest = lane.waiting.at(-1);
    if (!newest) continue;
    const replaced = lane.waiting;
    lane.waiting = [];
    const sent = newest.send(1);
    for (const { answered } of replaced) answered(sent);
  }
}
