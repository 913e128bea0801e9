import type { RunGroup } from '@/core/joints/classTraits';
import type { Batch } from '@/core/log/batch';
import type { Person } from '@/core/log/person';
import { dayOf } from '@/core/measure/dayOf';
import type { Paces } from '@/core/rates/learn';
import { assignedDays, type HouseToday } from '@/core/schedule/assignedDays';
import { passDone } from '@/core/schedule/assignedWork';
import type { HouseSnapshot, RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { workOn } from '@/core/work/block';
import type { DayList } from '@/core/work/dayListOf';
import { SectionGlyph } from '@/ui/section/SectionGlyph';
import { wayOfRooms } from '@/ui/section/sectionsOf';
import { StateMark } from '@/ui/state/StateMark';
import { firmWords, GROUP_NAMES, PASS_NAMES, passWords } from '@/words/stateWords';
import { dayWords, untilWords } from '@/words/when';
import { CurrentJob } from './CurrentJob';
import { ElsewhereToday } from './ElsewhereToday';
import { HoursToday } from './HoursToday';
import { taskAmounts } from './jobWords';
import type { LastDone } from './lastDone';
import { MyCalendar } from './MyCalendar';
import { type PassStanding, passStanding } from './passStanding';
import { TakeBack } from './TakeBack';

type Handed = DayList<RoomSnapshot>['passes'][number];

/** One person's list for today: the first job that can go now large, the others below. */
export function MyDayView({
  houseId,
  snapshot,
  person,
  now,
  timeZone,
  elsewhere,
  first,
  works,
  hasCalendar,
  last,
  batches,
  crew,
  seen,
}: {
  readonly houseId: string;
  readonly snapshot: HouseSnapshot;
  readonly person: { readonly id: string; readonly name: string };
  readonly now: number;
  readonly timeZone: string;
  /** This person's open jobs in other houses; empty without a server. */
  readonly elsewhere: readonly HouseToday[];
  /** The job to show first, see `jobOf`; undefined for the usual order. */
  readonly first: string | undefined;
  readonly works: boolean;
  readonly hasCalendar: boolean;
  /** What was done within the last minute. */
  readonly last: LastDone | undefined;
  /** Setting mud that this person mixed and may be using. */
  readonly batches: readonly Batch[];
  /** With whom one may run something. */
  readonly crew: readonly Pick<Person, 'id' | 'name'>[];
  /** The last entry that this page knows of. */
  readonly seen: number;
}) {
  const today = dayOf(now, timeZone);
  const wayOf = wayOfRooms(snapshot);
  const days = assignedDays(snapshot.rooms, today);
  const list = days.dayOf(person.id, today);
  const paces = days.paces[person.id];
  const open = list.passes
    .filter((handed) => passDone(handed) < 1)
    .map((handed) => ({ handed, standing: passStanding(handed) }));
  const ready = open.filter(({ standing }) => standing.kind === 'go');
  const current = ready.find(({ handed }) => jobOf(handed) === first) ?? ready[0];
  const rest = open.filter((job) => job !== current);
  const meanwhile = rest.find(({ standing }) => standing.kind === 'go');
  const own = paces && paceWords(paces);
  const done = list.passes.filter((handed) => passDone(handed) === 1);
  return (
    <main className="gloves mx-auto w-full max-w-xl flex-1 space-y-4 p-4">
      <header>
        <h1>My day</h1>
        <p className="text-xl font-bold">{snapshot.house.name}</p>
        <p className="text-muted">
          {dayWords(today)}: {open.length} {open.length === 1 ? 'job' : 'jobs'} left
          {list.left > 0 && <HoursToday house={houseId} seen={seen} left={list.left} />}
        </p>
      </header>
      {works && last && <TakeBack done={last} now={now} />}
      {list.passes.length === 0 && (
        <p className="sheet p-6 text-center text-lg">
          Nothing is assigned to you {elsewhere.length > 0 ? 'here ' : ''}for today, {person.name}.
          {elsewhere.length > 0 ? '' : ' The lead assigns work on the run sheet.'}
        </p>
      )}
      {current && (
        <CurrentJob
          houseId={houseId}
          snapshot={snapshot}
          room={current.handed.room}
          task={current.handed.task}
          coats={current.standing.kind === 'go' ? current.standing.coats : []}
          people={current.handed.people}
          me={person.id}
          crew={crew}
          seen={seen}
          block={current.handed.block}
          leftFrom={current.handed.leftFrom}
          batches={batches}
          meanwhile={
            meanwhile &&
            `${meanwhile.handed.room.room.name}, ${passWords(meanwhile.handed.task.pass, meanwhile.handed.block)}`
          }
          now={now}
          timeZone={timeZone}
          works={works}
        />
      )}
      {!current && rest.length > 0 && <p className="sheet p-5 text-center text-lg">Nothing on your list is ready.</p>}
      {rest.length > 0 && (
        <ul className="divide-y divide-base-300" aria-label="Then">
          {rest.map(({ handed, standing }) => (
            <li key={keyOf(handed)} className="flex items-center gap-3 py-3">
              <SectionGlyph
                kind={handed.task.coats[0]?.class ?? 'flat'}
                way={wayOf(handed.room)}
                layers={handed.task.coats.slice(0, 1).map(({ key, side }) => ({
                  phase: standing.kind === 'wet' ? 'wet' : 'planned',
                  key,
                  side,
                }))}
                className="h-9 w-19"
              />
              <span className="flex-1">
                <span className="block font-bold">
                  {handed.room.room.name}, {passWords(handed.task.pass, handed.block)}
                </span>
                <span className="text-sm text-muted">
                  {taskAmounts(handed.task, handed.room, snapshot.house.unit).join(', ')}
                  {handed.leftFrom && <b className="block">left from {dayWords(handed.leftFrom)}</b>}
                </span>
              </span>
              <span className="flex flex-col items-end gap-1">
                <StateMark words={standingWords(standing, now, timeZone)} className="text-sm" />
                {standing.kind === 'go' && (
                  <a
                    href={`?${new URLSearchParams({ first: jobOf(handed) })}`}
                    className="btn"
                    aria-label={`Do first: ${handed.room.room.name}, ${passWords(handed.task.pass, handed.block)}`}
                  >
                    Do first
                  </a>
                )}
              </span>
            </li>
          ))}
        </ul>
      )}
      {elsewhere.map((house) => (
        <ElsewhereToday key={house.id} house={house} />
      ))}
      {works && <MyCalendar has={hasCalendar} />}
      {own && (
        <details className="text-sm text-muted">
          <summary>Your pace, from your log</summary>
          <ul className="mt-1">
            {own.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
          <p>Only you and the lead see this.</p>
        </details>
      )}
      {done.length > 0 && <p className="text-muted">Done: {done.map(doneWords).join(', ')}</p>}
    </main>
  );
}

const keyOf = ({ room, task, people, block, leftFrom }: Handed): string =>
  `${room.room.id} ${task.pass} ${people.join(' ')} ${block} ${leftFrom}`;

/** Identifies a job in the URL of the page. */
const jobOf = ({ room, task, block }: Handed): string => `${room.room.id} ${workOn(task.pass, block)}`;

const doneWords = ({ room, task, block }: Handed): string => `${room.room.name} ${passWords(task.pass, block)}`;

/** A person's own paces, in words. */
const paceWords = (paces: Paces[string]): readonly string[] =>
  Object.entries(paces ?? {}).map(([rate, { pace, passes }]) => {
    const [kind = '', key = ''] = rate.split('.');
    const what = `${PASS_NAMES[key as keyof typeof PASS_NAMES] ?? key} of ${GROUP_NAMES[kind as RunGroup] ?? kind}`;
    return `${what}: ${pace.toFixed(2)} × usual (${passes} ${passes === 1 ? 'pass' : 'passes'})`;
  });

function standingWords(standing: PassStanding, now: number, timeZone: string) {
  if (standing.kind === 'wet' && standing.soft)
    return { mark: 'wet', title: firmWords(standing.soft, standing.until, now) } as const;
  if (standing.kind === 'wet')
    return { mark: 'wet', title: `wet until ${untilWords(standing.until, now, timeZone)}` } as const;
  return standing.kind === 'stuck'
    ? ({ mark: 'stuck', title: 'stuck', detail: standing.why } as const)
    : ({ mark: 'go', title: 'ready' } as const);
}
