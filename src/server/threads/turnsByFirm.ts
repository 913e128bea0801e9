import type { Queue, QueueAddOptions } from 'p-queue';

type Run = () => Promise<unknown>;

/** Whose work it is: the id of a company, or none. */
export interface WhoseTurn extends QueueAddOptions {
  readonly firm?: string | undefined;
}

/** Waiting work, by company: each company in its turn, and what one company asked for in the order in which it asked. */
export class TurnsByFirm implements Queue<Run, WhoseTurn> {
  readonly #waiting = new Map<string | undefined, Run[]>();

  get size(): number {
    let size = 0;
    for (const runs of this.#waiting.values()) size += runs.length;
    return size;
  }

  enqueue(run: Run, { firm }: WhoseTurn = {}): void {
    const own = this.#waiting.get(firm);
    if (own) own.push(run);
    else this.#waiting.set(firm, [run]);
  }

  dequeue(): Run | undefined {
    const [next] = this.#waiting;
    if (!next) return undefined;
    const [firm, runs] = next;
    const run = runs.shift();
    this.#waiting.delete(firm);
    if (runs.length > 0) this.#waiting.set(firm, runs);
    return run;
  }

  filter({ firm }: WhoseTurn): Run[] {
    return [...(this.#waiting.get(firm) ?? [])];
  }

  setPriority(): never {
    throw new Error('Nothing has a priority over what else waits.');
  }
}
