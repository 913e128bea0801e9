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

/** What was handed out, by day and person: what is printed for the board on the wall, and what a builder sees. */
export function HandedDays({ assigned, crew, days, className = '' }: HandedProps & { readonly className?: string }) {
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
          <ul className="grid gap-4 sm:grid-cols-3">
            {people.map(({ person, list }) => (
              <li key={person.id}>
                <p className="border-b border-base-300 font-semibold">
                  {person.name}, {spanWords(list.hours)}
                </p>
                <Passes list={list} />
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
            <Passes list={list} />
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

function Passes({ list }: { readonly list: DayList<RoomSnapshot> }) {
  return (
    <ul>
      {list.passes.map(({ room, task, people, block, leftFrom }) => (
        <li key={`${room.room.id} ${task.pass} ${people.join(' ')} ${block} ${leftFrom}`}>
          {room.room.name}, {jobOrderWords(task, block)}
          {people.length > 1 ? ', by two' : ''}
          {leftWords({ leftFrom })}
        </li>
      ))}
    </ul>
  );
}
