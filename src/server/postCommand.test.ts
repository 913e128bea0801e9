import { beforeEach, describe, expect, it, vi } from 'vitest';
import { COMMANDS } from '../contract/commands';
import type { Role } from '../core/log/person';
import { addFirm } from '../db/firms';
import { dropMethod } from '../db/methods';
import { authenticate, type Member } from '../db/people';
import { postCommand } from './postCommand';
import { openSession, signedIn } from './session';

vi.mock('./session', () => ({
  signedIn: vi.fn(),
  currentSession: vi.fn(),
  openSession: vi.fn(),
  closeSession: vi.fn(),
  addressOfSender: vi.fn(async () => '192.0.2.1'),
}));
vi.mock('./throttle', () => ({ countTry: vi.fn(async () => 0), forgetTry: vi.fn(), letTryAgain: vi.fn() }));
vi.mock('../db/methods', () => ({ dropMethod: vi.fn(), keepMethod: vi.fn(), listMethods: vi.fn() }));
vi.mock('../db/people', () => ({
  authenticate: vi.fn(),
  addPerson: vi.fn(),
}));
vi.mock('../db/firms', () => ({ addFirm: vi.fn(), findFirm: vi.fn(async () => 'f') }));
const asked = vi.mocked(signedIn);
const drop = vi.mocked(dropMethod);
const person = (role: Role): Member => ({ firm: 'f', id: 'p', name: 'Somebody', role });
const ID = '00000000-0000-4000-8000-000000000001';

/** What a command answers, with the status before it. */
async function send(name: string, content: unknown, headers: Record<string, string> = {}): Promise<unknown[]> {
  const body = typeof content === 'string' ? content : JSON.stringify(content);
  const request = new Request(`http://here.example/api/commands/${name}`, {
    method: 'POST',
    headers: { host: 'here.example', ...headers },
    body,
  });
  const response = await postCommand(request, name);
  return [response.status, await response.json()];
}

beforeEach(() => {
  vi.resetAllMocks();
  drop.mockResolvedValue(true);
});

describe('a command', () => {
  it('runs for the role that it needs, with what was sent', async () => {
    asked.mockResolvedValue(person('lead'));
    expect(await send('dropMethod', { id: ID })).toEqual([200, { ok: true, value: null }]);
    expect(drop).toHaveBeenCalledWith(ID);
  });

  it('says so when nobody is signed in, and does not run', async () => {
    asked.mockResolvedValue(undefined);
    expect(await send('dropMethod', { id: ID })).toMatchObject([401, { ok: false, kind: 'signedOut' }]);
    expect(drop).not.toHaveBeenCalled();
  });

  it('says so when the role is not enough, before it looks at the input', async () => {
    asked.mockResolvedValue(person('viewer'));
    const message = 'This is for a lead; you are signed in as a viewer.';
    expect(await send('dropMethod', '{')).toMatchObject([403, { ok: false, kind: 'notAllowed', message }]);
    expect(drop).not.toHaveBeenCalled();
  });

  it('refuses wrong input with its place', async () => {
    asked.mockResolvedValue(person('lead'));
    expect(await send('dropMethod', { id: 'x' })).toMatchObject([
      400,
      { ok: false, kind: 'invalid', problems: [{ path: 'id', reason: 'must be a method' }] },
    ]);
    expect(await send('dropMethod', { id: ID, extra: true })).toMatchObject([400, { problems: [{ path: 'extra' }] }]);
    expect(await send('dropMethod', 'no json')).toMatchObject([400, { message: 'The body is not JSON.' }]);
    expect(drop).not.toHaveBeenCalled();
  });

  it('is refused from another page, and when there is no such command', async () => {
    asked.mockResolvedValue(person('lead'));
    const elsewhere = { origin: 'http://elsewhere.example' };
    expect(await send('dropMethod', { id: ID }, elsewhere)).toMatchObject([403, { kind: 'notAllowed' }]);
    expect(await send('toString', {})).toMatchObject([404, { kind: 'notFound' }]);
    expect(drop).not.toHaveBeenCalled();
  });

  it('is given up when its body does not come', async () => {
    asked.mockResolvedValue(person('lead'));
    vi.useFakeTimers();
    const answer = postCommand(
      new Request('http://here.example/api/commands/dropMethod', {
        method: 'POST',
        headers: { host: 'here.example' },
        body: new ReadableStream({ start: (controller) => controller.enqueue(new TextEncoder().encode('{')) }),
        duplex: 'half',
      } as RequestInit),
      'dropMethod',
    );
    await vi.advanceTimersByTimeAsync(20_000);
    vi.useRealTimers();
    expect(await (await answer).json()).toMatchObject({ message: 'The body did not come within 20 s.' });
  });

  it('is not read further than its largest size', async () => {
    asked.mockResolvedValue(person('lead'));
    let sent = 0;
    const endless = new ReadableStream<Uint8Array>({
      pull: (controller) => {
        sent += 100_000;
        controller.enqueue(new Uint8Array(100_000));
      },
    });
    const request = new Request('http://here.example/', {
      method: 'POST',
      body: endless,
      duplex: 'half',
    } as RequestInit);
    const response = await postCommand(request, 'dropMethod');
    expect([response.status, (await response.json()).message]).toEqual([400, 'This is more than can be sent at once.']);
    expect(sent).toBeLessThan(1_500_000);
  });

  it('needs nobody where it is for anyone', async () => {
    expect(await send('signIn', { name: 'Wilma', password: '' })).toMatchObject([
      400,
      { problems: [{ path: 'password', reason: 'needs the password' }] },
    ]);
    vi.mocked(authenticate).mockResolvedValue({ ...person('lead'), passwordHash: '' });
    vi.mocked(openSession).mockResolvedValue(true);
    expect(await send('signIn', { name: 'Wilma', password: 'x' })).toEqual([200, { ok: true, value: null }]);
    expect(asked).not.toHaveBeenCalled();
    expect(addFirm).not.toHaveBeenCalled();
  });

  it('is for anyone only where somebody signs in or out', () => {
    const open = Object.entries(COMMANDS).filter(([, { role }]) => role === 'anyone');
    expect(open.map(([name]) => name)).toEqual(['signIn', 'setUp', 'signOut']);
  });
});
