import type { Role } from '../log/person';
import type { Crew, Member } from '../work/crew';
import { SKILLS, type Skill } from '../work/workItem';

/** How somebody works; whoever was never asked works eight hours: a lead checks, a finisher does everything else. */
export const memberOf = (crew: Crew, { id, role }: { readonly id: string; readonly role: Role }): Member =>
  crew.people[id] ?? { hours: 8, skills: [...USUAL_SKILLS[role]], learner: false, off: [] };

const USUAL_SKILLS: Readonly<Record<Role, readonly Skill[]>> = {
  lead: ['check'],
  finisher: SKILLS.filter((skill) => skill !== 'check'),
  viewer: [],
};
