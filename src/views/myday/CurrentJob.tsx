import { beforeCoat } from '@/core/inspect/betweenCoats';
import type { Batch } from '@/core/log/batch';
import type { Person } from '@/core/log/person';
import { mudWithin } from '@/core/materials/batch';
import { FIRM_MINUTES } from '@/core/method/coat';
import { sandingOrder } from '@/core/method/finalSanding';
import { waitsForFirm } from '@/core/method/sequence';
import { dueItems, mendedBefore } from '@/core/readiness/mending';
import { groupsInOrder, nextSteps } from '@/core/readiness/nextSteps';
import type { ReadyCoat } from '@/core/readiness/whatNow';
import type { HouseSnapshot, RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import type { Block } from '@/core/work/block';
import { CENTRING, isBetween } from '@/core/work/pass';
import { smallHours, type Task } from '@/core/work/tasksOf';
import { PageLink } from '@/ui/PageLink';
import { ItemList } from '@/ui/problem/ItemList';
import { ProblemButton } from '@/ui/problem/ProblemButton';
import { wayOfRooms } from '@/ui/section/sectionsOf';
import { BETWEEN_WORDS, coatsWords, listWords, longKnife, setBacks } from '@/words/coatWords';
import { fixFirstWords, itemWords } from '@/words/defectWords';
import { deepFillWords } from '@/words/lengthWords';
import { mudVolumeWords } from '@/words/mudWords';
import { sandWords } from '@/words/sandWords';
import { BLOCK_NAMES, CLASS_NAMES, smallAmount } from '@/words/stateWords';
import { dayWords, timeOf } from '@/words/when';
import { BeforeCoat } from './BeforeCoat';
import { ClassGlyph, CoatLine } from './CoatLine';
import { FirmIn } from './FirmIn';
import { JobDone } from './JobDone';
import { coatToLog, halvesOf, mudWorkOf, problemsUnder } from './jobCoats';
import { coatAmount, smallWorkWords } from './jobWords';

const MINUTES_PER_HOUR = 60;

/**
 * The job that can go now, so that the card suffices: where, how much, with what and how, what comes first, what good looks
 * like, what goes wrong most, what to put in the pan, and what to run meanwhile.
 */
export function CurrentJob({
  houseId,
  snapshot,
  room,
  task,
  coats,
  people,
  me,
  crew,
  seen,
  block,
  leftFrom,
  batches,
  meanwhile,
  now,
  timeZone,
  works,
}: {
  readonly houseId: string;
  readonly snapshot: HouseSnapshot;
  readonly room: RoomSnapshot;
  readonly task: Task;
  /** Those that can go on now; none where the pass is sanding, or only something is to be mended. */
  readonly coats: readonly ReadyCoat[];
  /** To whom it was handed. */
  readonly people: readonly string[];
  /** Whose list it is, and with whom it may be run. */
  readonly me: string;
  readonly crew: readonly Pick<Person, 'id' | 'name'>[];
  /** The last entry that this page knows of. */
  readonly seen: number;
  /** Only what lies there. */
  readonly block: Block | undefined;
  /** The earlier day for which it was handed out. */
  readonly leftFrom: string | undefined;
  /** Setting mud that this person mixed and may be using, the last one first. */
  readonly batches: readonly Batch[];
  /** Another job that can go while this one firms. */
  readonly meanwhile: string | undefined;
  readonly now: number;
  readonly timeZone: string;
  readonly works: boolean;
}) {
  const { unit } = snapshot.house;
  const { name, id } = room.room;
  const first = coats[0]?.coat;
  const way = wayOfRooms(snapshot)(room);
  const { between } = room.method.all;
  const kinds = [...new Set(coats.map(({ coat }) => coat.class))];
  const scrapes = isBetween(task.pass);
  const before =
    task.pass !== 'tape' && task.pass !== 'skim'
      ? beforeCoat(
          room,
          coats.map(({ coat }) => coat),
        )
      : undefined;
  const fills = task.pass === 'prefill';
  const classes = task.coats.map((coat) => coat.class);
  const isFixedFirst = task.pass === 'mend' || (task.pass === 'sand' && room.standing.now.kind === 'fix');
  const toMend = isFixedFirst ? dueItems(room) : classes.length > 0 ? mendedBefore(room, classes) : [];
  /** Nothing of the pass can go before that. */
  const mends = isFixedFirst || (classes.length > 0 && coats.length === 0);
  const beside = mends ? 'mend' : task.pass;
  const under = problemsUnder(coats, room, now);
  const openItems = { house: houseId, room: room.room, pieces: room.pieces, unit, now, works };
  const pan = mudWorkOf(coats, room);
  const sets = coats.filter(({ coat }) => coat.settingMinutes !== undefined);
  const minutes = fills ? room.method.all.settingMinutes : sets[0]?.coat.settingMinutes;
  const groups = groupsInOrder(coats.map(({ coat }) => coat));
  const crossesLater =
    !scrapes &&
    groups.some((one) =>
      groups.some((other) => waitsForFirm(one, other, coats[0]?.coat.round ?? 'tape', room.method.all)),
    );
  /** What of this round comes after a joint that is soft. */
  const soft = nextSteps(room.standing, room.method).flatMap((step) =>
    step.soft && step.coat.round === task.pass
      ? [{ coat: step.coat, under: step.soft.coat, until: step.soft.until }]
      : [],
  );
  return (
    <section className="sheet flex flex-col gap-4 p-5" aria-label="Now">
      <div>
        <p className="text-muted">
          Now, {name}
          {block && `: ${BLOCK_NAMES[block]} only`}
        </p>
        <h2 className="text-2xl">
          {isBesideCoats(beside)
            ? BESIDE_COATS[beside].title
            : scrapes
              ? `${BETWEEN_WORDS[between].name} ${listWords(kinds.map((kind) => CLASS_NAMES[kind].toLowerCase()))}`
              : coatsWords(
                  coats.map(({ coat }) => coat),
                  (kind) => CLASS_NAMES[kind],
                )}
        </h2>
        {leftFrom && <p className="font-bold">Left from {dayWords(leftFrom)}</p>}
      </div>
      {room.room.note && (
        <p className="rounded-lg bg-base-200 p-3">
          <b>Note:</b> {room.room.note}
        </p>
      )}
      {toMend.length > 0 && (
        <div>
          {!mends && <p className="font-medium">First mend what must not be covered:</p>}
          <ItemList {...openItems} items={toMend} />
        </div>
      )}
      {first && before && (
        <BeforeCoat
          room={id}
          how={between}
          classes={kinds}
          words={`${BETWEEN_WORDS[between].name.toLowerCase()}: ${BETWEEN_WORDS[between].what}`}
          done={before.done && timeOf(Date.parse(before.done.at), timeZone)}
          marks={before.marks.map((item) => itemWords(item, room.room, unit))}
          alone={isBetween(task.pass) ? task.pass : undefined}
          now={now}
          timeZone={timeZone}
          works={works}
        />
      )}
      <ul className="space-y-3 font-medium">
        {coats.map((ready) => (
          <li key={`${ready.coat.class} ${ready.coat.side}`} className="grid grid-cols-[6rem_1fr] items-start gap-3">
            <ClassGlyph kind={ready.coat.class} room={room} way={way} />
            {scrapes ? (
              <p>{coatAmount(ready.coat, room, unit, ready.part)}</p>
            ) : (
              <CoatLine ready={ready} room={room} unit={unit} block={block} houseId={houseId} />
            )}
          </li>
        ))}
        {fills && (
          <li>
            {task.small.map((work) => smallAmount(work, unit)).join(', ')} over {deepFillWords(unit)} wide, and broken
            corners
            <p className="text-sm font-normal">
              Loose paper cut away; setting mud pressed in to the framing and struck off flush; taped when it is firm.
            </p>
          </li>
        )}
        {task.pass === CENTRING && (
          <li>
            {task.small.map((work) => smallAmount(work, unit)).join(', ')}, with a {longKnife(unit)}
            <p className="text-sm font-normal">
              One pass down the middle, over the crest between the two box strips; the sides are stiff and stay as they
              are.
            </p>
          </li>
        )}
        {task.pass === 'check' && <li>Lamp along every wall, then the ceiling; mark what shows</li>}
        {task.pass === 'seal' && (
          <li>
            Corner to corner, paper and mud together; only what will be painted. Sprayed sealer is rolled out after.
          </li>
        )}
        {task.pass === 'sand' && (
          <>
            {sandingOrder(
              room.standing.classes.map(({ class: kind }) => kind),
              room.method,
            ).map((kind) => (
              <li key={kind} className="grid grid-cols-[6rem_1fr] items-center gap-3">
                <ClassGlyph kind={kind} room={room} way={way} />
                <span>
                  {CLASS_NAMES[kind]}
                  <span className="block text-sm font-normal first-letter:uppercase">{sandWords(kind, unit)}</span>
                </span>
              </li>
            ))}
            <li>Mask on, room shut off; stop where tape appears</li>
          </>
        )}
      </ul>
      {task.pass === 'tape' && coats.length > 0 && <p className="text-sm">{setBacks(unit)}</p>}
      {task.small.length > 0 && !fills && task.pass !== CENTRING && (
        <p className="text-sm">Beside it: {listWords(task.small.map((work) => smallWorkWords(work, unit)))}.</p>
      )}
      {pan.litres > 0 && !scrapes && minutes === undefined && (
        <p className="text-sm">
          In the pan: {mudVolumeWords(mudWithin(pan, MINUTES_PER_HOUR), unit)} for the next hour
          {pan.hours > 1 ? `, ${mudVolumeWords(pan.litres, unit)} in all` : ''}. What is left in it is thrown away.
        </p>
      )}
      {soft.map(({ coat, under, until }) => (
        <FirmIn key={coat.id} under={under} next={coat} until={until} now={now} />
      ))}
      {soft.length > 0 && meanwhile && <p className="text-sm">Meanwhile: {meanwhile}.</p>}
      {crossesLater && (
        <p className="text-sm">Let butts and beads firm for {FIRM_MINUTES} min before you cross them.</p>
      )}
      {task.pass === 'check' && (
        <PageLink href={`/h/${houseId}/sand`} className="btn btn-primary btn-xl h-auto w-full py-5 text-xl">
          Check and sign off
        </PageLink>
      )}
      {works && task.pass !== 'check' && !mends && !scrapes && (
        <JobDone
          room={id}
          pass={task.pass}
          block={block}
          coats={coats.map((ready) => coatToLog(ready, room))}
          centers={task.pass === CENTRING ? task.small[0]?.round : undefined}
          halves={block ? undefined : halvesOf(coats, room)}
          setting={
            minutes === undefined
              ? undefined
              : {
                  minutes,
                  most: mudWithin(fills ? smallMud(task.small) : mudWorkOf(sets, room), minutes),
                  batch: batches[0],
                }
          }
          // Another job may be another pair's.
          key={`${id} ${task.pass} ${people.join(' ')}`}
          people={people}
          me={me}
          crew={crew}
          seen={seen}
          under={
            under.length > 0
              ? { items: under, words: fixFirstWords(under, room.state.items, room.room, unit) }
              : undefined
          }
          unit={unit}
          now={now}
          timeZone={timeZone}
        />
      )}
      <PageLink href={`/h/${houseId}/board#${id}`} className="btn btn-xl h-auto w-full py-4 text-lg">
        Log part or something else
      </PageLink>
      {works && <ProblemButton now={now} room={{ id, name }} className="btn btn-xl h-auto w-full py-4 text-lg" />}
      {!mends && (
        <ItemList {...openItems} items={room.state.items.filter((item) => !item.closed && !toMend.includes(item))} />
      )}
    </section>
  );
}

/** What is not a coat. */
const BESIDE_COATS = {
  prefill: { title: 'Pre-fill the gaps' },
  mend: { title: 'Mend what is wrong' },
  centring: { title: 'Center the butts' },
  sand: { title: 'Sand the room' },
  check: { title: 'Check the room under the lamp' },
  seal: { title: 'Seal the room' },
} as const;
const isBesideCoats = (pass: Task['pass']): pass is keyof typeof BESIDE_COATS => pass in BESIDE_COATS;

/** What small work takes: litres of mud, and hours by the usual rates. */
const smallMud = (small: Task['small']) => ({
  litres: small.reduce((sum, { litres }) => sum + litres, 0),
  hours: small.reduce((sum, work) => sum + smallHours(work), 0),
});
