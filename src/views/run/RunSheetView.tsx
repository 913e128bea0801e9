import { dayOf } from '@/core/log/dayOf';
import type { Person } from '@/core/log/person';
import { dayListOf } from '@/core/plan/dayListOf';
import { PASSES, type Task } from '@/core/plan/tasksOf';
import { handedPasses, passDone } from '@/core/readiness/handedPasses';
import type { RoomSite, Site } from '@/core/readiness/siteOf';
import { StateMark } from '@/ui/state/StateMark';
import { PASS_NAMES, roomWords } from '@/ui/state/words';
import { dayAfter, dayWords, spanWords } from '@/ui/when';
import { HandCell } from './HandCell';

interface RunSheetProps {
  readonly site: Site;
  readonly people: readonly Person[];
  readonly now: number;
  readonly timeZone: string;
  readonly mayHand: boolean;
}

const DAYS_AHEAD = 5;

/** Who does what when: every room's passes with the person and the day, and each person's list for the coming days. */
export function RunSheetView({ site, people, now, timeZone, mayHand }: RunSheetProps) {
  const crew = people.filter(({ role, left }) => role !== 'viewer' && !left);
  const days = Array.from({ length: DAYS_AHEAD }, (_, index) => dayAfter(now, index, timeZone));
  const passes = PASSES.filter((pass) => site.rooms.some(({ tasks }) => tasks.some((task) => task.pass === pass)));
  return (
    <main className="flex-1 space-y-5 p-4 lg:px-5">
      <h1 className="sr-only">Run sheet</h1>
      <DayLists site={site} crew={crew} days={days} today={dayOf(now, timeZone)} now={now} timeZone={timeZone} />
      <section className="sheet overflow-x-auto p-4 sm:p-5">
        <h2>Hand out the passes</h2>
        <p className="mb-2 text-muted">Hours by default rates, walking in included.</p>
        {site.rooms.length === 0 && <p>No rooms yet.</p>}
        <table className="table">
          <thead>
            <tr>
              <th scope="col">Room</th>
              {passes.map((pass) => (
                <th key={pass} scope="col">
                  {PASS_NAMES[pass]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {site.rooms.map((room) => (
              <tr key={room.room.id}>
                <th scope="row" className="align-top">
                  <span className="block font-semibold">{room.room.name}</span>
                  <StateMark words={roomWords(room.standing.now, now, timeZone)} className="mt-1 text-sm font-normal" />
                </th>
                {passes.map((pass) => {
                  const task = room.tasks.find((candidate) => candidate.pass === pass);
                  return (
                    <td key={pass} className="align-top">
                      {task && <PassCell room={room} task={task} crew={crew} days={days} now={now} mayHand={mayHand} />}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </main>
  );
}

function PassCell({
  room,
  task,
  crew,
  days,
  now,
  mayHand,
}: {
  readonly room: RoomSite;
  readonly task: Task;
  readonly crew: readonly Person[];
  readonly days: readonly string[];
  readonly now: number;
  readonly mayHand: boolean;
}) {
  const done = passDone(room, task);
  const given = room.state.assignments.get(task.pass);
  const who = crew.find(({ id }) => id === given?.person)?.name;
  if (done === 1) return <p className="text-muted">✓ done{who ? `, ${who}` : ''}</p>;
  return (
    <div className="min-w-36">
      <p className="mb-1 text-sm text-muted">
        {spanWords(task.hours)}
        {done > 0 ? `, ${Math.round(done * 100)} % done` : ''}
      </p>
      {mayHand ? (
        <HandCell
          key={`${given?.person} ${given?.day}`}
          room={room.room}
          pass={task.pass}
          person={given?.person ?? ''}
          day={given?.day}
          days={days}
          crew={crew}
          now={now}
        />
      ) : (
        <p>{who ? `${who}, ${given ? dayWords(given.day) : ''}` : 'nobody yet'}</p>
      )}
    </div>
  );
}

function DayLists({
  site,
  crew,
  days,
  today,
  now,
  timeZone,
}: {
  readonly site: Site;
  readonly crew: readonly Person[];
  readonly days: readonly string[];
  readonly today: string;
  readonly now: number;
  readonly timeZone: string;
}) {
  const handed = handedPasses(site.rooms);
  return (
    <section className="sheet overflow-x-auto p-4 sm:p-5" aria-label="Lists by person and day">
      <h2>Who has what</h2>
      <table className="table table-fixed min-w-[50rem]">
        <thead>
          <tr>
            <th scope="col" className="w-24">
              Day
            </th>
            {crew.map(({ id, name }) => (
              <th key={id} scope="col" className="text-base text-base-content">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {days.slice(0, 3).map((day) => (
            <tr key={day}>
              <th scope="row" className="align-top whitespace-nowrap">
                {day === today ? 'Today' : dayWords(day)}
              </th>
              {crew.map(({ id }) => {
                const list = dayListOf(handed, id, day);
                return (
                  <td key={id} className="align-top">
                    {list.passes.length === 0 && <span className="text-muted">free</span>}
                    <ul className="space-y-1">
                      {list.passes.map(({ room, task }) => (
                        <li
                          key={`${room.room.id} ${task.pass}`}
                          className="rounded-lg border border-base-300 bg-base-100 px-2 py-1"
                        >
                          <p className="font-semibold">
                            {room.room.name}: {PASS_NAMES[task.pass].toLowerCase()}
                          </p>
                          <p className="text-sm text-muted">
                            {spanWords(task.hours)}
                            {passDone(room, task) === 1 ? ', done' : ''}
                          </p>
                          {passDone(room, task) < 1 && day === today && (
                            <StateMark words={roomWords(room.standing.now, now, timeZone)} className="text-sm" />
                          )}
                        </li>
                      ))}
                    </ul>
                    {list.hours > 0 && (
                      <p className="mt-1 text-sm font-semibold">{spanWords(list.hours)} with mixing</p>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
