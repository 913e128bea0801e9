/** What somebody may do: a viewer looks, a finisher logs their own work, a lead changes everything. */
export const ROLES = ['lead', 'finisher', 'viewer'] as const;
export type Role = (typeof ROLES)[number];

/** A person as everyone may see them. */
export interface Person {
  readonly id: string;
  readonly name: string;
  /** Whether they have left: they stay in the record. */
  readonly left?: true;
  readonly role: Role;
}

/** Whether somebody works here, and has not left. */
export const isOfCrew = ({ role, left }: Pick<Person, 'role' | 'left'>): boolean => role !== 'viewer' && !left;
