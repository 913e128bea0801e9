import { hash, verify } from '@node-rs/argon2';
import type { Transaction } from 'sequelize';
import { foldName } from '../core/log/foldName';
import type { Person, Role } from '../core/log/person';
import { firm } from './firm';
import { models, type PersonRow } from './models';

/** Somebody of a firm. */
export interface Member extends Person {
  readonly firm: string;
}

/** All people of the firm, by name, also those who have left. */
export async function listPeople(): Promise<readonly Person[]> {
  const rows = await models().PersonRow.findAll({ order: ['name'] });
  return rows.map(personOf);
}

/** Somebody whose password was right, with the hash of it: the sign-in holds only while it is theirs. */
export interface Authenticated extends Member {
  readonly passwordHash: string;
}

/** The person with this name and password, or undefined; the same time passes whichever is wrong. */
export async function authenticate(name: string, password: string): Promise<Authenticated | undefined> {
  const row = await models().PersonRow.findOne({ where: { folded: foldName(name), removedAt: null } });
  const matches = await verify(row?.passwordHash ?? (await decoyHash()), password);
  return row && matches ? { ...personOf(row), firm: row.firm, passwordHash: row.passwordHash } : undefined;
}

/** Adds a person; undefined when the name is taken. */
export async function addPerson(name: string, role: Role, password: string): Promise<Person | undefined> {
  const { PersonRow, sequelize } = models();
  const passwordHash = await hash(password);
  return sequelize.transaction(async (transaction) => {
    await lockFirm(transaction);
    const folded = foldName(name);
    if (await PersonRow.findOne({ where: { folded, removedAt: null }, transaction })) return undefined;
    return personOf(await PersonRow.create({ name: name.trim(), folded, role, passwordHash }, { transaction }));
  });
}

/** Whether this is the password of a person. */
export async function isPasswordOf(id: string, password: string): Promise<boolean> {
  const row = await models().PersonRow.findOne({ where: { id } });
  return row !== null && verify(row.passwordHash, password);
}

/** Sets a person's password. Returns their name, or `undefined` if there is no such person. */
export async function setPassword(id: string, password: string): Promise<string | undefined> {
  const passwordHash = await hash(password);
  const where = { id, removedAt: null };
  const [, rows] = await models().PersonRow.update({ passwordHash }, { where, returning: true });
  return rows[0]?.name;
}

/** Returns the name of a person; undefined when they have left. */
export async function nameOf(id: string): Promise<string | undefined> {
  const row = await models().PersonRow.findOne({ where: { id, removedAt: null } });
  return row?.name;
}

/** What became of a removal; without a lead nobody could do anything any more. */
export type Removal = 'removed' | 'unknown' | 'lastLead';

/** A person leaves: what they did stays in the record, their name is free again. */
export async function removePerson(id: string, at: Date): Promise<Removal> {
  const { PersonRow, sequelize } = models();
  return sequelize.transaction(async (transaction) => {
    await lockFirm(transaction);
    const row = await PersonRow.findOne({ where: { id, removedAt: null }, transaction });
    if (!row) return 'unknown';
    const leads = await PersonRow.count({ where: { role: 'lead', removedAt: null }, transaction });
    if (row.role === 'lead' && leads < 2) return 'lastLead';
    await row.update({ removedAt: at }, { transaction });
    return 'removed';
  });
}

/** One after the other changes who is of a firm. */
const lockFirm = (transaction: Transaction) =>
  models().sequelize.query('SELECT FROM firms WHERE id = $1 FOR UPDATE', { bind: [firm()], transaction });

let decoy: Promise<string> | undefined;
function decoyHash(): Promise<string> {
  decoy ??= hash('nobody has this password');
  return decoy;
}

const personOf = ({ id, name, role, removedAt }: PersonRow): Person => ({
  id,
  name,
  role,
  ...(removedAt ? { left: true } : {}),
});
