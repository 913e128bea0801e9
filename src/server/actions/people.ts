'use server';

import { z } from 'zod';
import { granted, refused } from '../../core/house/answer';
import { ROLES } from '../../db/models';
import { addFirstLead, addPerson, authenticate } from '../../db/people';
import { action, openAction } from '../action';
import { closeSession, openSession } from '../session';

const name = z.string().trim().min(1, 'needs a name').max(80, 'must be at most 80 characters');
const newPassword = z.string().min(8, 'must have at least 8 characters').max(200, 'must be at most 200 characters');

export const signIn = openAction(
  z.strictObject({ name, password: z.string().min(1, 'needs the password').max(200) }),
  async (input) => {
    const person = await authenticate(input.name, input.password);
    if (!person)
      return refused('invalid', 'This name and password do not belong together.', [
        { path: 'password', reason: 'does not belong to this name' },
      ]);
    await openSession(person);
    return granted(null);
  },
);

/** Makes the lead's account in an empty application. */
export const setUp = openAction(z.strictObject({ name, password: newPassword }), async (input) => {
  const person = await addFirstLead(input.name, input.password);
  if (!person) return refused('notAllowed', 'There is an account already. Sign in instead.');
  await openSession(person);
  return granted(null);
});

export const signOut = openAction(z.strictObject({}), async () => {
  await closeSession();
  return granted(null);
});

export const invite = action(
  z.strictObject({ name, role: z.enum(ROLES), password: newPassword }),
  'lead',
  async (input) => {
    const person = await addPerson(input.name, input.role, input.password);
    return person ? granted(null) : refused('invalid', 'This name is taken.', [{ path: 'name', reason: 'is taken' }]);
  },
);
