import PQueue from 'p-queue';
import { Busy } from './places';

/**
 * Lets each person have one piece of work of a kind done at a time: what else they ask for waits, up to so many.
 *
 * @param most how many of one person may wait
 * @returns a function that runs work for somebody in their turn, or throws `Busy` at once where too many wait
 */
export function inOwnTurn(most: number): <Value>(person: string, run: () => Promise<Value>) => Promise<Value> {
  const queues = new Map<string, PQueue>();
  return async (person, run) => {
    const queue = queues.get(person) ?? new PQueue({ concurrency: 1 });
    if (queue.size >= most) throw new Busy();
    queues.set(person, queue);
    try {
      return await queue.add(run);
    } finally {
      if (queue.size + queue.pending === 0) queues.delete(person);
    }
  };
}
