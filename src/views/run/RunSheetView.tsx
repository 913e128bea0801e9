import { isOfCrew, type Person } from '@/core/log/person';
import { dayAfter, dayOf } from '@/core/measure/dayOf';
import { assignedDays } from '@/core/schedule/assignedDays';
import { passDone } from '@/core/schedule/assignedWork';
import type { HouseSnapshot } from '@/core/snapshot/houseSnapshot';
import { wayOfRooms } from '@/ui/section/sectionsOf';
import { PASS_NAMES } from '@/words/stateWords';

import { HandedDays, HandedSheets } from './HandedDays';
import { RunBoard } from './RunBoard';

const DAYS_PRINTED = 7;

/** Who does what when: the plan for the crew, what was handed out for the wall and for a builder. */
export function RunSheetView({
  snapshot,
  version,
  people,
  now,
  timeZone,
  plans,
  mayHand,
}: {
  readonly snapshot: HouseSnapshot;
  /** Of what is shown: another one is planned anew. */
  readonly version: string;
  readonly people: readonly Person[];
  readonly now: number;
  readonly timeZone: string;
  /** Whether who looks is of the crew. */
  readonly plans: boolean;
  readonly mayHand: boolean;
}) {
  const crew = people.filter(isOfCrew);
  const days = Array.from({ length: DAYS_PRINTED }, (_, index) => dayAfter(now, index, timeZone));
  const today = dayOf(now, timeZone);
  const assigned = assignedDays(snapshot.rooms, today);
  const done = Object.fromEntries(
    crew.map(({ id }) => [
      id,
      assigned.handed
        .filter((own) => own.people.includes(id) && own.day === today && passDone(own) === 1)
        .map(({ room, task }) => `${room.room.name}: ${PASS_NAMES[task.pass].toLowerCase()}`),
    ]),
  );
  const wayOf = wayOfRooms(snapshot);
  const ways = Object.fromEntries(
    snapshot.rooms.flatMap((room) => (wayOf(room) === '' ? [] : [[room.room.id, wayOf(room)]])),
  );
  return (
    <main className="flex-1 space-y-4 p-4 lg:px-5">
      <h1 className="sr-only">Run sheet</h1>
      {snapshot.rooms.length === 0 && <p className="sheet p-6 text-center text-lg">No rooms yet.</p>}
      {plans && snapshot.rooms.length > 0 && (
        <RunBoard
          version={version}
          unit={snapshot.house.unit}
          now={now}
          timeZone={timeZone}
          mayHand={mayHand}
          done={done}
          ways={ways}
        />
      )}
      <HandedDays
        assigned={assigned}
        crew={crew}
        days={days}
        named={plans}
        className={plans ? 'hidden print:block' : ''}
      />
      {plans && <HandedSheets assigned={assigned} crew={crew} days={days} />}
    </main>
  );
}
