import { lazy, Suspense } from 'react';
import type { HousePlan } from '@/core/plan/planHouse';
import type { PlanInput } from '@/core/plan/planInput';
import { SKILLS } from '@/core/work/workItem';
import { Opening } from '@/ui/Opening';
import { PageLink } from '@/ui/PageLink';
import { listWords } from '@/words/coatWords';
import { SKILL_WORDS } from './planWords';

// A form is a lot of script for those who never see it.
const AddPerson = lazy(async () => ({ default: (await import('@/ui/AddPerson')).AddPerson }));

/** Warns above the plan about jobs that nobody on the crew has the skill for. */
export function NobodyCan({
  plan,
  input,
  showCrew,
  added,
}: {
  readonly plan: HousePlan;
  readonly input: PlanInput;
  /** Undefined for those who may not change the crew. */
  readonly showCrew: (() => void) | undefined;
  /** Runs when somebody was added. */
  readonly added: () => void;
}) {
  const left = new Set(plan.leftOut.flatMap(({ item, why }) => (why === 'nobody' ? [item] : [])));
  if (left.size === 0) return null;
  const isEmpty = input.people.every((person) => !person.skills.includes('coat') && !person.skills.includes('tape'));
  const skills = SKILLS.filter((skill) => input.items.some((item) => left.has(item.id) && item.skill === skill));
  return (
    <section className="sheet flex flex-wrap items-center gap-3 p-4" aria-label="Nobody can do this">
      <p className="flex-1">
        <strong>Nobody on the crew can {listWords(skills.map((skill) => SKILL_WORDS[skill]))}.</strong>{' '}
        {left.size === 1 ? '1 job is' : `${left.size} jobs are`} not in the plan or in the finish date.
      </p>
      {showCrew && (
        <>
          <button type="button" className="btn btn-primary" onClick={showCrew}>
            Edit crew skills
          </button>
          <PageLink href="/houses" className="btn">
            Crew and accounts
          </PageLink>
          {isEmpty && (
            <div className="w-full space-y-2">
              <h2>Add the people who tape, coat and sand</h2>
              <p className="text-sm text-muted">
                They start with eight hours a day and every skill but the light check. Change that under Edit crew
                skills.
              </p>
              <Suspense fallback={<Opening />}>
                <AddPerson added={added} />
              </Suspense>
            </div>
          )}
        </>
      )}
    </section>
  );
}
