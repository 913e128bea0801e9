import type { Right } from '@/core/drywatch/wasRight';
import type { LengthUnit } from '@/core/measure/unit';
import { FanChoice } from '@/ui/entries/FanChoice';
import { PageLink } from '@/ui/PageLink';
import { AddPhotos } from '@/ui/photo/AddPhotos';
import { ItemList } from '@/ui/problem/ItemList';
import { ProblemButton } from '@/ui/problem/ProblemButton';
import { StateMark } from '@/ui/state/StateMark';
import { coatKindWords, listWords } from '@/words/coatWords';
import { plural } from '@/words/plural';
import { rightWords } from '@/words/rightWords';
import { CLASS_NAMES, classWords } from '@/words/stateWords';
import { timeOf, untilWords } from '@/words/when';
import type { AcceptRow } from './acceptRows';
import { BeforeTape } from './BeforeTape';
import { FOUND_WORDS } from './foundWords';
import { HoldRoom } from './HoldRoom';
import { TouchButtons } from './TouchButtons';
import { TouchPlace } from './TouchPlace';
import type { WalkClass, WalkRow } from './walkRows';

/** The morning walk: room after room what the clocks say, and what a touch check finds, which wins. */
export function WalkView({
  houseId,
  rows,
  accepts,
  right,
  unit,
  now,
  timeZone,
  works,
  leads,
}: {
  readonly houseId: string;
  readonly rows: readonly WalkRow[];
  /** Rooms whose hanging is looked at before tape. */
  readonly accepts: readonly AcceptRow[];
  readonly right: Right;
  readonly unit: LengthUnit;
  readonly now: number;
  readonly timeZone: string;
  readonly works: boolean;
  readonly leads: boolean;
}) {
  const touched = rows.filter(({ found }) => found.length > 0);
  return (
    <main className="gloves mx-auto w-full max-w-xl flex-1 space-y-4 p-4">
      <header>
        <h1>Morning walk</h1>
        {rows.length > 0 && (
          <p className="text-lg font-semibold" role="status">
            {touched.length === rows.length
              ? `All ${plural(rows.length, 'room')} walked`
              : `${rows.length - touched.length} of ${plural(rows.length, 'room')} left to walk`}
          </p>
        )}
        {rows.length > 0 && (
          <p className="text-muted">
            Press where it dries last: the inside corners, the thick middle of a butt. What you find corrects the clock
            of that room for this coat; the joints that you touched obey at once.
          </p>
        )}
      </header>
      {rows.length === 0 && accepts.length === 0 && (
        <p className="sheet p-6 text-center text-lg">Nothing is drying, and nothing waits for a coat.</p>
      )}
      <ol className="space-y-4">
        {rows.map((row) => (
          <li key={row.id}>
            <section className="sheet space-y-3 p-4" aria-label={row.name}>
              <h2 className="text-xl">{row.name}</h2>
              {row.found.length > 0 && <Walked row={row} timeZone={timeZone} />}
              <ul className="space-y-1">
                {row.classes.map((own) => (
                  <li key={own.class} className="grid grid-cols-[8rem_1fr] gap-x-3">
                    <span className="font-semibold">{CLASS_NAMES[own.class]}</span>
                    <span>
                      <StateMark words={classWords(own.now, now, timeZone)} className="text-sm" />
                      {own.moved && <span className="block text-sm">{movedWords(own.moved, now, timeZone)}</span>}
                    </span>
                  </li>
                ))}
              </ul>
              {works && (
                <TouchButtons room={row.id} label={`All of ${row.name}`} readyAt={lastReady(row.classes)} now={now} />
              )}
              {works && <TouchPlace room={row} readyAt={readyAtOf(row.classes)} now={now} />}
              {works && row.classes.length > 1 && (
                <details>
                  <summary className="cursor-pointer">One class only</summary>
                  <ul className="space-y-3">
                    {row.classes.map(({ class: kind, readyAt }) => (
                      <li key={kind}>
                        <p className="mb-1 text-sm font-semibold">{CLASS_NAMES[kind]}</p>
                        <TouchButtons
                          room={row.id}
                          kind={kind}
                          label={`${CLASS_NAMES[kind]} of ${row.name}`}
                          readyAt={readyAt}
                          now={now}
                        />
                      </li>
                    ))}
                  </ul>
                </details>
              )}
              <ItemList
                house={houseId}
                room={row.room}
                pieces={row.pieces}
                items={row.items}
                unit={unit}
                now={now}
                works={works}
              />
              {works && (
                <div className="flex flex-wrap items-start gap-3">
                  <ProblemButton now={now} room={row} />
                  <AddPhotos now={now} room={row} />
                </div>
              )}
              {works && (
                <details>
                  <summary className="cursor-pointer">
                    {row.held === undefined ? 'Fan, or hold the room' : `Held: ${row.held}`}
                  </summary>
                  <div className="flex flex-wrap items-center justify-between gap-3 pb-1">
                    <FanChoice room={row.id} speed={row.fan} now={now} mayLog={works} />
                    {leads && <HoldRoom now={now} row={row} timeZone={timeZone} />}
                  </div>
                </details>
              )}
            </section>
          </li>
        ))}
      </ol>
      <BeforeTape houseId={houseId} rows={accepts} unit={unit} now={now} leads={leads} works={works} />
      <section className="sheet space-y-2 p-4" aria-label="Changes for today">
        <h2>Changes for today</h2>
        {touched.every(({ classes }) => classes.every(({ moved }) => !moved)) && (
          <p className="text-muted">{touched.length === 0 ? 'Nothing was touched yet.' : 'The clocks were right.'}</p>
        )}
        <ul className="space-y-2">
          {touched.flatMap(({ id, name, classes, waits }) => {
            const moved = classes.filter((own) => own.moved);
            if (moved.length === 0) return [];
            return (
              <li key={id}>
                <b>{name}</b>
                <ul>
                  {moved.map((own) => (
                    <li key={own.class}>
                      {CLASS_NAMES[own.class]}: {own.moved && movedWords(own.moved, now, timeZone)}
                    </li>
                  ))}
                  {waits.map((words) => (
                    <li key={words} className="text-muted">
                      {words}
                    </li>
                  ))}
                </ul>
              </li>
            );
          })}
        </ul>
        <PageLink href={`/h/${houseId}/run`} className="btn btn-lg">
          Move work on the run sheet
        </PageLink>
      </section>
      {right.touches > 0 && (
        <section className="sheet space-y-1 p-4" aria-label="Was it right?">
          <h2>Was it right?</h2>
          <p>{rightWords(right)}</p>
        </section>
      )}
    </main>
  );
}

/** When a room was walked today, what was found, and what that did. */
function Walked({ row, timeZone }: { readonly row: WalkRow; readonly timeZone: string }) {
  const last = row.found.at(-1);
  const moved = row.classes.filter((own) => own.moved).map(({ class: kind }) => CLASS_NAMES[kind].toLowerCase());
  return (
    <p className="rounded-lg bg-base-200 px-3 py-2">
      <b>
        <span aria-hidden="true">✓ </span>Walked {last && timeOf(Date.parse(last.at), timeZone)}
      </b>
      : {row.found.map(({ at, class: kind, found }) => foundWords(at, kind, found, timeZone)).join(', ')}.{' '}
      {moved.length > 0 ? `It moved ${listWords(moved)}.` : 'Nothing moved: the clock was right.'}{' '}
      {row.learned.length > 0 && <span className="text-sm text-muted">{row.learned.map(learnedWords).join(' ')}</span>}
    </p>
  );
}

/** 10:30 → 12:10 (11:20 to 13:00), or ready sooner or later than the tables say. */
function movedWords({ from, to, range }: NonNullable<WalkClass['moved']>, now: number, timeZone: string): string {
  const words = (at: number | undefined) => (at === undefined ? 'ready' : untilWords(at, now, timeZone));
  const [soonest, latest] = range.map(words);
  return `${words(from)} → ${words(to)}${soonest === latest ? '' : ` (${soonest} to ${latest})`}`;
}

const foundWords = (
  at: string,
  kind: WalkClass['class'] | undefined,
  found: keyof typeof FOUND_WORDS,
  timeZone: string,
) => `${kind ? `${CLASS_NAMES[kind].toLowerCase()} ` : ''}${FOUND_WORDS[found]} at ${timeOf(Date.parse(at), timeZone)}`;

function learnedWords({ kind, slowness: { factor, low, high } }: WalkRow['learned'][number]): string {
  const percent = Math.round(Math.abs(factor - 1) * 100);
  const range = `(${low.toFixed(2)} to ${high.toFixed(2)} times the tables)`;
  if (percent < 2) return `${coatKindWords(kind)} dries as the tables say ${range}.`;
  return `${coatKindWords(kind)} dries ${percent} % ${factor > 1 ? 'slower' : 'faster'} than the tables say ${range}.`;
}

const readyAtOf = (classes: readonly WalkClass[]): Readonly<Partial<Record<WalkClass['class'], number>>> =>
  Object.fromEntries(classes.flatMap(({ class: kind, readyAt }) => (readyAt === undefined ? [] : [[kind, readyAt]])));

/** When the clock has all of some classes ready. */
function lastReady(classes: readonly WalkClass[]): number | undefined {
  const known = classes.flatMap(({ readyAt }) => readyAt ?? []);
  return known.length > 0 ? Math.max(...known) : undefined;
}
