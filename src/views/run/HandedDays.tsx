import type { Person } from '@/core/log/person';
import type { AssignedDays } from '@/core/schedule/assignedDays';
import type { RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import type { DayList } from '@/core/work/dayListOf';
import { jobOrderWords } from '@/words/stateWords';
import { dayWords, leftWords, spanWords } from '@/words/when';

interface HandedProps {
  readonly assigned: AssignedDays;
  readonly crew: readonly Person[];
  readonly days: readonly string[];
}

/**
 * Shows assigned work by day and person, as it is printed for the board on the wall. A builder reads what is worked on each day, and not by
 * whom.
 */
export function HandedDays({
  assigned,
  crew,
  days,
  named,
  className = '',
}: HandedProps & { readonly named: boolean; readonly className?: string }) {
  const lists = days.flatMap((day) => {
    const people = crew.flatMap((person) => listFor(assigned, person, day));
    return people.length > 0 ? [{ day, people }] : [];
  });
  return (
    <section className={`sheet space-y-4 p-4 ${className}`} aria-label="Assigned work">
      <h2>Assigned work</h2>
      {lists.length === 0 && <p className="text-muted">No work is assigned for these days.</p>}
      {lists.map(({ day, people }) => (
        <div key={day} className="break-inside-avoid">
          <h3>{dayWords(day)}</h3>
          {!named && <Passes passes={distinctPasses(people.flatMap(({ list }) => list.passes))} />}
          <ul className="grid gap-4 sm:grid-cols-3">
            {(named ? people : []).map(({ person, list }) => (
              <li key={person.id}>
                <p className="border-b border-base-300 font-semibold">
                  {person.name}, {spanWords(list.hours)}
                </p>
                <Passes passes={list.passes} />
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}

/** A sheet of paper for everybody, with their days below each other. */
export function HandedSheets({ assigned, crew, days }: HandedProps) {
  return crew.map((person) => {
    const own = days.flatMap((day) => listFor(assigned, person, day).map(({ list }) => ({ day, list })));
    if (own.length === 0) return null;
    return (
      <section key={person.id} className="hidden break-before-page print:block" aria-label={`List of ${person.name}`}>
        <h2>{person.name}</h2>
        {own.map(({ day, list }) => (
          <div key={day} className="mt-4 break-inside-avoid text-lg">
            <h3>
              {dayWords(day)}, {spanWords(list.hours)}
            </h3>
            <Passes passes={list.passes} />
          </div>
        ))}
      </section>
    );
  });
}

function listFor(assigned: AssignedDays, person: Person, day: string) {
  const list = assigned.dayOf(person.id, day);
  return list.passes.length > 0 ? [{ person, list }] : [];
}

type Pass = DayList<RoomSnapshot>['passes'][number];

const jobKey = ({ room, task, block, leftFrom }: Pass) => `${room.room.id} ${task.pass} ${block} ${leftFrom}`;

/** Returns each job once, whoever does it. */
const distinctPasses = (passes: readonly Pass[]): readonly Pass[] => [
  ...new Map(passes.map((pass) => [jobKey(pass), { ...pass, people: [] }])).values(),
];

function Passes({ passes }: { readonly passes: readonly Pass[] }) {
  return (
    <ul>
      {passes.map((pass) => (
        <li key={jobKey(pass) + pass.people.join(' ')}>
          {pass.room.room.name}, {jobOrderWords(pass.task, pass.block)}
          {pass.people.length > 1 ? ', by two' : ''}
          {leftWords(pass)}
        </li>
      ))}
    </ul>
  );
}
