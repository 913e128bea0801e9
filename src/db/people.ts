import { hash, verify } from '@node-rs/argon2';
import type { Person, Role } from '../core/log/person';
import { models, type PersonRow } from './models';

/** All people, by name. */
export async function listPeople(): Promise<readonly Person[]> {
  const rows = await models().PersonRow.findAll({ order: ['name'] });
  return rows.map(personOf);
}

/** The person with this id, or undefined. */
export async function findPerson(id: string): Promise<Person | undefined> {
  const row = await models().PersonRow.findByPk(id);
  return row ? personOf(row) : undefined;
}

/** Whether anybody can sign in yet. */
export async function anyPeople(): Promise<boolean> {
  return (await models().PersonRow.findOne({ attributes: ['id'] })) !== null;
}

/** The person with this name and password, or undefined; the same time passes whichever is wrong. */
export async function authenticate(name: string, password: string): Promise<Person | undefined> {
  const { sequelize, PersonRow } = models();
  const row = await PersonRow.findOne({
    where: sequelize.where(sequelize.fn('lower', sequelize.col('name')), name.trim().toLowerCase()),
  });
  const matches = await verify(row?.passwordHash ?? (await decoyHash()), password);
  return row && matches ? personOf(row) : undefined;
}

/** Adds a person; undefined when the name is taken. */
export async function addPerson(name: string, role: Role, password: string): Promise<Person | undefined> {
  const { PersonRow, sequelize } = models();
  const trimmed = name.trim();
  const passwordHash = await hash(password);
  return sequelize.transaction(async (transaction) => {
    await sequelize.query('LOCK TABLE people IN SHARE ROW EXCLUSIVE MODE', { transaction });
    const twin = await PersonRow.findOne({
      where: sequelize.where(sequelize.fn('lower', sequelize.col('name')), trimmed.toLowerCase()),
      transaction,
    });
    if (twin) return undefined;
    return personOf(await PersonRow.create({ name: trimmed, role, passwordHash }, { transaction }));
  });
}

/** Adds the first lead; undefined when somebody was quicker. */
export async function addFirstLead(name: string, password: string): Promise<Person | undefined> {
  const { PersonRow, sequelize } = models();
  const passwordHash = await hash(password);
  return sequelize.transaction(async (transaction) => {
    await sequelize.query('LOCK TABLE people IN SHARE ROW EXCLUSIVE MODE', { transaction });
    if (await PersonRow.findOne({ transaction })) return undefined;
    return personOf(await PersonRow.create({ name: name.trim(), role: 'lead', passwordHash }, { transaction }));
  });
}

let decoy: Promise<string> | undefined;
function decoyHash(): Promise<string> {
  decoy ??= hash('nobody has this password');
  return decoy;
}

const personOf = ({ id, name, role }: PersonRow): Person => ({ id, name, role });
