import { granted, refused } from '../../contract/answer';
import { SECRET_KINDS } from '../../core/log/choices';
import { now } from '../../db/clock';
import { saveCompany } from '../../db/company';
import { firm, inFirm } from '../../db/firm';
import { addFirm, findFirm } from '../../db/firms';
import { addPerson, authenticate, isPasswordOf, nameOf, removePerson, setPassword } from '../../db/people';
import { endSecret } from '../../db/secrets';
import { endSession, endSessionsOf } from '../../db/sessions';
import { letIn, shutOut } from '../../db/viewers';
import { mayAct } from '../mayAct';
import { addressOfSender, closeSession, currentSession, openSession } from '../session';
import { countTry, forgetTry, letTryAgain } from '../throttle';
import type { Handlers } from './handler';

/** Nobody is of it; asking takes as long as for a firm that there is. */
const NO_FIRM = '00000000-0000-0000-0000-000000000000';
const NOBODY = 'This person is not on the crew any more.';

const tooMany = (minutes: number) =>
  refused('tooMany', `Too many wrong passwords. Try again in ${minutes} min.`, [
    { path: 'password', reason: `may be tried again in ${minutes} min` },
  ]);

/** Ends all that opens something for a person: sign-ins, the calendar's address and the laser measure's key. */
async function endSecretsOf(person: string): Promise<void> {
  await endSessionsOf(person);
  for (const kind of SECRET_KINDS) await endSecret({ person, kind });
}

export const peopleCommands: Handlers<
  | 'signIn'
  | 'setUp'
  | 'signOut'
  | 'changePassword'
  | 'endSession'
  | 'endSecret'
  | 'unlockSignIn'
  | 'resetPassword'
  | 'removePerson'
  | 'saveCompany'
  | 'invite'
  | 'letIn'
  | 'shutOut'
> = {
  signIn: async ({ name, password, firm: called }) => {
    const address = await addressOfSender();
    const of = await findFirm(called);
    if (of === undefined && called === '')
      return refused('invalid', 'Several firms work with this server: say which is yours.', [
        { path: 'firm', reason: 'needs the firm: several work here' },
      ]);
    const minutes = await countTry(of ?? NO_FIRM, name, address);
    if (minutes > 0) return tooMany(minutes);
    const person = await inFirm(of ?? NO_FIRM, () => authenticate(name, password));
    if (!person || !(await openSession(person)))
      return refused('invalid', 'Wrong name or password.', [{ path: 'password', reason: 'Wrong name or password' }]);
    await forgetTry(person.firm, name, address);
    return granted(null);
  },
  setUp: async ({ name, password, firm: called }) => {
    const person = await addFirm(called, name, password, { first: true });
    if (!person) return refused('notAllowed', 'There is an account already. Sign in instead.');
    await openSession(person);
    return granted(null);
  },
  signOut: async () => {
    await closeSession();
    return granted(null);
  },
  changePassword: async ({ password, next }, { id, name }) => {
    const address = await addressOfSender();
    const minutes = await countTry(firm(), name, address);
    if (minutes > 0) return tooMany(minutes);
    if (!(await isPasswordOf(id, password)))
      return refused('invalid', 'This is not your password.', [{ path: 'password', reason: 'is not your password' }]);
    await forgetTry(firm(), name, address);
    await setPassword(id, next);
    await endSessionsOf(id, (await currentSession())?.id);
    return granted(null);
  },
  endSession: async ({ session }, person) =>
    (await endSession(session, mayAct(person, 'lead') ? undefined : person.id))
      ? granted(null)
      : refused('notFound', 'This sign-in has ended already.'),
  endSecret: async ({ kind, person: asked }, by) => {
    const person = asked ?? by.id;
    if (person !== by.id && !mayAct(by, 'lead'))
      return refused('notAllowed', 'Only a lead can end the addresses and keys of others.');
    await endSecret({ person, kind });
    return granted(null);
  },
  unlockSignIn: async ({ person }) => {
    const name = await nameOf(person);
    if (name === undefined) return refused('notFound', NOBODY);
    await letTryAgain(firm(), name);
    return granted(null);
  },
  resetPassword: async ({ person, password }, by) => {
    if (person === by.id) return refused('invalid', 'Your own password is changed with the one that you have.');
    const name = await setPassword(person, password);
    if (name === undefined) return refused('notFound', NOBODY);
    await endSecretsOf(person);
    await letTryAgain(firm(), name);
    return granted(null);
  },
  removePerson: async ({ person }, by) => {
    if (person === by.id) return refused('invalid', 'You can’t remove yourself. Ask another lead.');
    const removal = await removePerson(person, new Date(now()));
    if (removal === 'unknown') return refused('notFound', NOBODY);
    if (removal === 'lastLead') return refused('invalid', 'You can’t remove the last lead.');
    await endSecretsOf(person);
    return granted(null);
  },
  letIn: async ({ house, person }) =>
    (await letIn(house, person)) ? granted(null) : refused('notFound', 'This viewer or this house is gone.'),
  shutOut: async ({ house, person }) => {
    await shutOut(house, person);
    return granted(null);
  },
  saveCompany: async (company) =>
    (await saveCompany(company))
      ? granted(null)
      : refused('invalid', 'Another company has this name.', [{ path: 'name', reason: 'is taken' }]),
  invite: async ({ name, role, password }) => {
    const person = await addPerson(name, role, password);
    return person ? granted(null) : refused('invalid', 'This name is taken.', [{ path: 'name', reason: 'is taken' }]);
  },
};
