import { beforeEach, describe, expect, it, vi } from 'vitest';
import { type Answer, granted } from '@/contract/answer';
import type { Change } from '@/contract/change';

const page = new EventTarget();
/** What was sent, by the id it was sent with. */
const ids = new Map<string, string>();

/** The module anew, with nothing on the way. */
async function fresh() {
  vi.resetModules();
  vi.stubGlobal('window', page);
  return (await import('./sendInOrder')).sendInOrder;
}

/** Something to send that is answered when the test says so. */
function sent(name: string, log: string[]) {
  let answer: (answer: Answer<string>) => void = () => undefined;
  let fail: (error: Error) => void = () => undefined;
  const send = ({ id, after }: Change) => {
    ids.set(id, name);
    log.push(`${name} after ${after.map((own) => ids.get(own)).join(' ') || 'none'}`);
    return new Promise<Answer<string>>((resolve, reject) => {
      answer = resolve;
      fail = reject;
    });
  };
  return { send, answer: () => answer(granted(name)), fail: () => fail(new Error('lost')) };
}

/** Lets everything that was answered be taken in. */
const settled = () => new Promise((resolve) => setImmediate(resolve));

describe('changes of one thing', () => {
  let log: string[] = [];
  beforeEach(() => {
    log = [];
  });

  it('are sent one after the other, the last one last, those between not at all', async () => {
    const sendInOrder = await fresh();
    const [a, b, c] = [sent('a', log), sent('b', log), sent('c', log)];
    const answers = [sendInOrder('x', a.send), sendInOrder('x', b.send), sendInOrder('x', c.send)];
    expect(log).toEqual(['a after none']);
    a.answer();
    await settled();
    expect(log).toEqual(['a after none', 'c after none']);
    c.answer();
    expect(await Promise.all(answers)).toEqual([granted('a'), granted('c'), granted('c')]);
  });

  it('wait until the answer before was taken in: the next may build on it', async () => {
    const sendInOrder = await fresh();
    let version = 1;
    const save = async (): Promise<Answer<number>> => granted(version + 1);
    const versions: number[] = [];
    const change = () =>
      sendInOrder('x', () => {
        versions.push(version);
        return save();
      }).then((answer) => {
        if (answer.ok) version = answer.value;
      });
    await Promise.all([change(), change()]);
    expect(versions).toEqual([1, 2]);
  });

  it('go on after one was lost', async () => {
    const sendInOrder = await fresh();
    const [a, b] = [sent('a', log), sent('b', log)];
    const first = sendInOrder('x', a.send);
    const second = sendInOrder('x', b.send);
    a.fail();
    await expect(first).rejects.toThrow('lost');
    await settled();
    b.answer();
    expect(await second).toEqual(granted('b'));
    // What was lost may have been kept; of what was answered, and of what came before it, all is known.
    const c = sent('c', log);
    void sendInOrder('x', c.send);
    expect(log).toEqual(['a after none', 'b after a', 'c after none']);
  });

  it('that wait when the page is left are sent at once, knowing what is ahead of them', async () => {
    const sendInOrder = await fresh();
    const [a, b, other] = [sent('a', log), sent('b', log), sent('other', log)];
    void sendInOrder('x', a.send);
    void sendInOrder('x', b.send);
    void sendInOrder('y', other.send);
    page.dispatchEvent(new Event('pagehide'));
    expect(log).toEqual(['a after none', 'other after none', 'b after a']);
  });
});
