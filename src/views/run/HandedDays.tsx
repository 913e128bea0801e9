import type { Person } from '@/core/log/person';
import type { RoomSite } from '@/core/readiness/siteOf';
import { dayListOf, type HandedPass } from '@/core/work/dayListOf';
import { PASS_NAMES } from '@/ui/state/words';
import { dayWords, spanWords } from '@/ui/when';

/** What was handed out, by day and person: what is printed for the board on the wall, and what a builder sees. */
export function HandedDays({
  handed,
  crew,
  days,
  className = '',
}: {
  readonly handed: readonly HandedPass<RoomSite>[];
  readonly crew: readonly Person[];
  readonly days: readonly string[];
  readonly className?: string;
}) {
  const lists = days.flatMap((day) => {
    const people = crew.flatMap((person) => {
      const list = dayListOf(handed, person.id, day);
      return list.passes.length > 0 ? [{ person, list }] : [];
    });
    return people.length > 0 ? [{ day, people }] : [];
  });
  return (
    <section className={`sheet space-y-4 p-4 ${className}`} aria-label="Handed out">
      <h2>Handed out</h2>
      {lists.length === 0 && <p className="text-muted">Nothing is handed out for these days.</p>}
      {lists.map(({ day, people }) => (
        <div key={day} className="break-inside-avoid">
          <h3>{dayWords(day)}</h3>
          <ul className="grid gap-4 sm:grid-cols-3">
            {people.map(({ person, list }) => (
              <li key={person.id}>
                <p className="border-b border-base-300 font-semibold">
                  {person.name}, {spanWords(list.hours)}
                </p>
                <ul>
                  {list.passes.map(({ room, task, people: by }) => (
                    <li key={`${room.room.id} ${task.pass} ${by.join(' ')}`}>
                      {room.room.name}: {PASS_NAMES[task.pass].toLowerCase()}
                    </li>
                  ))}
                </ul>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}
