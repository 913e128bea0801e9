import { type Crew, crewSchema } from '../../core/work/crew';
import { SKILLS } from '../../core/work/workItem';
import type { DemoName } from './demoPeople';

/** How the demo's crew works: one lamp, Marit checks, Petra learned last year and boxes nothing yet, Ines goes home early. */
export function demoCrew(ids: Readonly<Record<DemoName, string>>): Crew {
  const skills = SKILLS.filter((skill) => skill !== 'check');
  return crewSchema.parse({
    tools: { lamp: 1 },
    hourCost: 40,
    people: {
      [ids.Marit]: { hours: 8, skills: ['check'] },
      [ids.Tobin]: { hours: 8, skills },
      [ids.Ines]: { hours: 6, skills },
      [ids.Osei]: { hours: 8, skills },
      [ids.Petra]: { hours: 8, skills: skills.filter((skill) => skill !== 'box') },
    },
  });
}
