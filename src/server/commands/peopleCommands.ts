import { granted, refused } from '../../contract/answer';
import { addFirstLead, addPerson, authenticate } from '../../db/people';
import { closeSession, openSession } from '../session';
import type { Handlers } from './handler';

export const peopleCommands: Handlers<'signIn' | 'setUp' | 'signOut' | 'invite'> = {
  signIn: async ({ name, password }) => {
    const person = await authenticate(name, password);
    if (!person)
      return refused('invalid', 'This name and password do not belong together.', [
        { path: 'password', reason: 'does not belong to this name' },
      ]);
    await openSession(person);
    return granted(null);
  },
  setUp: async ({ name, password }) => {
    const person = await addFirstLead(name, password);
    if (!person) return refused('notAllowed', 'There is an account already. Sign in instead.');
    await openSession(person);
    return granted(null);
  },
  signOut: async () => {
    await closeSession();
    return granted(null);
  },
  invite: async ({ name, role, password }) => {
    const person = await addPerson(name, role, password);
    return person ? granted(null) : refused('invalid', 'This name is taken.', [{ path: 'name', reason: 'is taken' }]);
  },
};
