import Link from 'next/link';
import { loggedMud, wetMudOf } from '@/core/drying/wetMud';
import { dayOf } from '@/core/log/dayOf';
import { type Coat, type CoatedClass, coatId } from '@/core/method/coat';
import { BETWEEN } from '@/core/method/ladderFor';
import { type DayList, dayListOf } from '@/core/plan/dayListOf';
import { handedPasses, passDone } from '@/core/readiness/handedPasses';
import type { RoomSite, Site } from '@/core/readiness/siteOf';
import { areaWords, roughLength } from '@/ui/lengthWords';
import { SectionGlyph } from '@/ui/section/SectionGlyph';
import { StateMark } from '@/ui/state/StateMark';
import { CLASS_NAMES, isJoint, PASS_NAMES } from '@/ui/state/words';
import { dayWords, spanWords, untilWords } from '@/ui/when';
import { DoneButton, type ReadyCoat } from './DoneButton';
import { type PassStanding, passStanding } from './passStanding';

type Handed = DayList<RoomSite>['passes'][number];

/** One person's list for today: the first job that can go now large, the others below. */
export function MyDayView({
  houseId,
  site,
  person,
  now,
  timeZone,
  works,
}: {
  readonly houseId: string;
  readonly site: Site;
  readonly person: { readonly id: string; readonly name: string };
  readonly now: number;
  readonly timeZone: string;
  readonly works: boolean;
}) {
  const today = dayOf(now, timeZone);
  const list = dayListOf(handedPasses(site.rooms), person.id, today);
  const open = list.passes
    .filter(({ room, task }) => passDone(room, task) < 1)
    .map((handed) => ({ handed, standing: passStanding(handed.room, handed.task) }));
  const current = open.find(({ standing }) => standing.kind === 'go');
  const rest = open.filter((job) => job !== current);
  const done = list.passes.filter(({ room, task }) => passDone(room, task) === 1);
  return (
    <main className="mx-auto w-full max-w-xl flex-1 space-y-4 p-4">
      <header>
        <h1>My day</h1>
        <p className="text-muted">
          {dayWords(today)}: {open.length} {open.length === 1 ? 'job' : 'jobs'} left
          {list.hours > 0 ? `, about ${spanWords(list.hours)} in all` : ''}
        </p>
      </header>
      {list.passes.length === 0 && (
        <p className="sheet p-6 text-center text-lg">
          Nothing is handed to you for today, {person.name}. The lead hands out work on the run sheet.
        </p>
      )}
      {current && (
        <CurrentJob
          houseId={houseId}
          site={site}
          job={current.handed}
          standing={current.standing}
          now={now}
          works={works}
        />
      )}
      {!current && rest.length > 0 && (
        <p className="sheet p-5 text-center text-lg">Nothing of yours can go right now.</p>
      )}
      {rest.length > 0 && (
        <ul className="divide-y divide-base-300" aria-label="Then">
          {rest.map(({ handed, standing }) => (
            <li key={keyOf(handed)} className="flex items-center gap-3 py-3">
              <SectionGlyph
                kind={handed.task.coats[0]?.class ?? 'flat'}
                layers={handed.task.coats.slice(0, 1).map(({ key, side }) => ({
                  phase: standing.kind === 'wet' ? 'wet' : 'planned',
                  key,
                  side,
                }))}
                className="h-9 w-19"
              />
              <span className="flex-1">
                <span className="block font-bold">
                  {handed.room.room.name}, {PASS_NAMES[handed.task.pass].toLowerCase()}
                </span>
                <span className="text-sm text-muted">{amounts(handed, site).join(', ')}</span>
              </span>
              <StateMark words={standingWords(standing, now, timeZone)} className="text-sm" />
            </li>
          ))}
        </ul>
      )}
      {done.length > 0 && (
        <p className="text-muted">
          Done: {done.map(({ room, task }) => `${room.room.name} ${PASS_NAMES[task.pass].toLowerCase()}`).join(', ')}
        </p>
      )}
    </main>
  );
}

const keyOf = ({ room, task }: Handed): string => `${room.room.id} ${task.pass}`;

function standingWords(standing: PassStanding, now: number, timeZone: string) {
  if (standing.kind === 'wet')
    return { mark: 'wet', title: `wet until ${untilWords(standing.until, now, timeZone)}` } as const;
  return standing.kind === 'stuck'
    ? ({ mark: 'stuck', title: 'stuck', detail: standing.why } as const)
    : ({ mark: 'go', title: 'ready' } as const);
}

function CurrentJob({
  houseId,
  site,
  job,
  standing,
  now,
  works,
}: {
  readonly houseId: string;
  readonly site: Site;
  readonly job: Handed;
  readonly standing: PassStanding;
  readonly now: number;
  readonly works: boolean;
}) {
  const { room, task } = job;
  const ready = standing.kind === 'go' ? standing.coats : [];
  const shown: CoatedClass = ready[0]?.class ?? 'flat';
  const ladder = room.standing.classes.find((kind) => kind.class === shown)?.coats ?? [];
  return (
    <section className="sheet space-y-4 p-5" aria-label="Now">
      <div>
        <p className="text-muted">Now, {room.room.name}</p>
        <h2 className="text-2xl">
          {task.pass === 'sand'
            ? 'Sand the room'
            : `${PASS_NAMES[task.pass]} coat on ${listWords(ready.map((coat) => CLASS_NAMES[coat.class].toLowerCase()))}`}
        </h2>
      </div>
      <SectionGlyph
        kind={shown}
        layers={ladder.map(({ phase, coat }) => ({ phase, key: coat.key, side: coat.side }))}
        className="h-32 w-full"
      />
      <ul className="list-disc pl-5 space-y-1 font-medium">
        {ready.map((coat) => (
          <li key={`${coat.class} ${coat.side}`}>
            {amountWords(coat, room, site)} with the {coat.tool}
            {coat.side ? `, ${coat.side} sides` : ''}
          </li>
        ))}
        {task.pass === 'sand' && <li>Mask on, room shut off; stop where tape appears</li>}
      </ul>
      {ready[0] && (
        <p className="text-sm text-muted">
          {task.pass !== 'tape' &&
            task.pass !== 'skim' &&
            `First: ${BETWEEN[room.method.all.between].name.toLowerCase()}. `}
          Good when: {ready[0].check}.
        </p>
      )}
      {works && (
        <DoneButton
          houseId={houseId}
          room={room.room.id}
          pass={task.pass}
          coats={ready.map((coat) => readyCoat(coat, room))}
          now={now}
        />
      )}
      <Link href={`/h/${houseId}/board#${room.room.id}`} className="btn btn-xl h-auto w-full py-4 text-lg">
        Part done, or something else
      </Link>
    </section>
  );
}

const readyCoat = (coat: Coat, { method }: RoomSite): ReadyCoat => {
  const { class: kind, key, side, tool } = coat;
  return { coat: { class: kind, key, side, tool }, wet: loggedMud(wetMudOf(coat, method)) };
};

const listWords = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

const amounts = ({ room, task }: Handed, site: Site): readonly string[] =>
  [...new Set(task.coats.map((coat) => amountWords(coat, room, site)))].slice(0, 3);

/** How much of a class the coat covers: faces of a lower level may go without it. */
function amountWords(coat: Coat, { coats, tally }: RoomSite, site: Site): string {
  const amount = coats.find((own) => coatId(own) === coatId(coat))?.amount ?? 0;
  if (coat.class === 'fasteners') return `${amount} fasteners`;
  if (isJoint(coat.class)) return `${roughLength(amount, site.house.unit)} of ${CLASS_NAMES[coat.class].toLowerCase()}`;
  return amount < tally.paintedArea * 0.999 ? areaWords(amount, site.house.unit) : 'the whole surface';
}
