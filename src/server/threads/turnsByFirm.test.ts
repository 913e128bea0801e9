import { describe, expect, it } from 'vitest';
import { TurnsByFirm } from './turnsByFirm';

describe('turns', () => {
  it('go from company to company, within one in the order of asking', async () => {
    const turns = new TurnsByFirm();
    const ran: string[] = [];
    const ask = (firm: string | undefined, name: string) => turns.enqueue(async () => ran.push(name), { firm });
    for (const name of ['a1', 'a2', 'a3']) ask('a', name);
    ask('b', 'b1');
    ask(undefined, 'server');
    expect(turns.size).toBe(5);
    await turns.dequeue()?.();
    ask('b', 'b2');
    for (let run = turns.dequeue(); run; run = turns.dequeue()) await run();
    expect(ran).toEqual(['a1', 'b1', 'server', 'a2', 'b2', 'a3']);
    expect(turns.size).toBe(0);
  });
});
