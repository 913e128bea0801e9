import type { Person, Role } from '../core/log/person';

const RANK: Readonly<Record<Role, number>> = { viewer: 0, finisher: 1, lead: 2 };

/** Whether a person may do what needs at least this role. */
export const mayAct = (person: Pick<Person, 'role'>, role: Role): boolean => RANK[person.role] >= RANK[role];
