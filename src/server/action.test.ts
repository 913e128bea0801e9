import { beforeEach, describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { granted } from '../core/house/answer';
import type { Person } from '../db/people';
import { action, openAction } from './action';
import { signedIn } from './session';

vi.mock('./session', () => ({ signedIn: vi.fn() }));
const asked = vi.mocked(signedIn);
const person = (role: Person['role']): Person => ({ id: 'p', name: 'Somebody', role });

const schema = z.strictObject({ house: z.string(), width: z.number().gt(0, 'must be greater than 0') });
const run = vi.fn(async ({ width }: { width: number }, by: Person) => granted(`${width} by ${by.name}`));
const save = action(schema, 'finisher', run);

beforeEach(() => {
  run.mockClear();
  asked.mockReset();
});

describe('an action', () => {
  it.each(['finisher', 'lead'] as const)('runs for a %s, with what was sent', async (role) => {
    asked.mockResolvedValue(person(role));
    expect(await save({ house: 'h', width: 3 })).toEqual({ ok: true, value: '3 by Somebody' });
  });

  it('says so when nobody is signed in, and does not run', async () => {
    asked.mockResolvedValue(undefined);
    expect(await save({ house: 'h', width: 3 })).toMatchObject({ ok: false, kind: 'signedOut' });
    expect(run).not.toHaveBeenCalled();
  });

  it('says so when the role is not enough, and does not run', async () => {
    asked.mockResolvedValue(person('viewer'));
    expect(await save({ house: 'h', width: 3 })).toMatchObject({
      ok: false,
      kind: 'notAllowed',
      message: 'This is for a finisher; you are signed in as a viewer.',
    });
    expect(run).not.toHaveBeenCalled();
  });

  it('refuses wrong input with its place, whatever its type says', async () => {
    asked.mockResolvedValue(person('lead'));
    expect(await save({ house: 'h', width: 0 })).toMatchObject({
      ok: false,
      kind: 'invalid',
      problems: [{ path: 'width', reason: 'must be greater than 0' }],
    });
    const forged: unknown = { house: 'h', width: 1, extra: true };
    expect(await save(forged as { house: string; width: number })).toMatchObject({
      ok: false,
      kind: 'invalid',
      problems: [{ path: 'extra' }],
    });
    expect(run).not.toHaveBeenCalled();
  });

  it('asks who it is before it looks at the input', async () => {
    asked.mockResolvedValue(undefined);
    expect(await save({ house: 'h', width: -1 })).toMatchObject({ kind: 'signedOut' });
  });
});

describe('an open action', () => {
  it('checks its input and needs nobody', async () => {
    const open = openAction(z.strictObject({ name: z.string().min(1, 'needs a name') }), async ({ name }) =>
      granted(name),
    );
    expect(await open({ name: 'Wilma' })).toEqual({ ok: true, value: 'Wilma' });
    expect(await open({ name: '' })).toMatchObject({ problems: [{ path: 'name', reason: 'needs a name' }] });
    expect(asked).not.toHaveBeenCalled();
  });
});
