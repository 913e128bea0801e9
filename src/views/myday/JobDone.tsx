'use client';

import { useMemo, useState } from 'react';
import { type Said, useLog } from '@/client/useLog';
import type { WetMud } from '@/core/drying/wetMud';
import type { Batch } from '@/core/log/batch';
import type { Person } from '@/core/log/person';
import type { LengthUnit } from '@/core/measure/unit';
import type { CoatKey } from '@/core/method/coat';
import { BLOCKS, type Block, workOn } from '@/core/work/block';
import type { Pass } from '@/core/work/pass';
import { CoatQuestion } from '@/ui/entries/CoatQuestion';
import { usePieceMap } from '@/ui/room/usePieceMap';
import { SelectField } from '@/ui/SelectField';
import { toolWords } from '@/words/coatWords';
import { timeOf } from '@/words/when';
import { BatchClock } from './BatchClock';
import { goesOn, JobPicture, jobPieces } from './JobPicture';
import type { CoatToLog } from './jobCoats';
import type { Run } from './timedRun';
import { useJobTime } from './useJobTime';

/** What was said to be done, when, and what was known of the house by then. */
interface Press {
  readonly at: number;
  readonly coats: readonly CoatToLog[];
  readonly seen: number;
}
/** What an entry says of the mud that was mixed. */
interface Mixed {
  readonly mixedAt: string;
  readonly mud?: WetMud['mud'];
  readonly batch?: string;
  readonly product?: string;
}
const mixedFrom = ({ at, minutes, product }: Batch, timeZone: string): Mixed => ({
  mixedAt: iso(at),
  // By its own label, whatever the method asks for.
  mud: { kind: 'setting', minutes },
  batch: `of ${timeOf(at, timeZone)}`,
  ...(product ? { product } : {}),
});

const isSame = (a: readonly CoatToLog[], b: readonly CoatToLog[]): boolean => JSON.stringify(a) === JSON.stringify(b);

const iso = (at: number): string => new Date(at).toISOString();

/** Minutes since setting mud was mixed, as a finisher would say it. */
const MIXED_MINUTES = [0, 5, 10, 20, 30, 45, 60] as const;
const MINUTE_MS = 60_000;

/**
 * The room with what is run in it now, and the buttons that say what is done: all of it, its walls or its ceiling, or the joints
 * that are tapped. Setting mud goes by the batch that was mixed; without one a second press says when that was.
 */
export function JobDone({
  room,
  pass,
  block,
  coats,
  centers,
  halves,
  setting,
  people,
  me,
  crew,
  seen,
  under,
  unit,
  now,
  timeZone,
}: {
  readonly room: string;
  readonly pass: Pass;
  readonly block: Block | undefined;
  readonly coats: readonly CoatToLog[];
  /** The round of which boxed butts are centered; undefined for all other work. */
  readonly centers: CoatKey | undefined;
  readonly halves: Readonly<Record<Block, readonly CoatToLog[]>> | undefined;
  /** Where the pass takes setting mud: its label, how much of it one uses up in time (litres), and the batch in use. */
  readonly setting: { readonly minutes: number; readonly most: number; readonly batch: Batch | undefined } | undefined;
  /** To whom it was handed: two who run it together are both written down. */
  readonly people: readonly string[];
  /** Whose list it is, and with whom it may have been run instead. */
  readonly me: string;
  readonly crew: readonly Pick<Person, 'id' | 'name'>[];
  /** The last entry that this page knows of. */
  readonly seen: number;
  /** Problems that the coats would cover before they are fixed, by id, and the question about them. */
  readonly under: { readonly words: string; readonly items: readonly string[] } | undefined;
  readonly unit: LengthUnit;
  readonly now: number;
  readonly timeZone: string;
}) {
  const log = useLog(now);
  const time = useJobTime(room, workOn(pass, block), log, now, timeZone);
  // Fixed when Done was pressed, so that pressing again after a lost answer sends the same entries.
  const [pressed, setPressed] = useState<Press>();
  const [tapped, setTapped] = useState<ReadonlySet<string>>(new Set());
  const { map } = usePieceMap(room, JSON.stringify(coats));
  const own = useMemo(() => (map ? jobPieces(map, coats) : []), [map, coats]);
  const asked = setting && !setting.batch ? pressed : undefined;
  const [partner, setPartner] = useState(crew.find(({ id }) => id !== me && people.includes(id))?.id ?? '');
  const together = partner === '' ? {} : { ranBy: [me, partner] };
  const said = ({ coats: some, seen: known }: Press, run: Run, mixed?: Mixed): readonly Said[] =>
    pass === 'sand' || pass === 'seal'
      ? [{ kind: pass === 'sand' ? 'sanded' : 'sealed', room, payload: { ...run, ...together } }]
      : centers
        ? [{ kind: 'centered', room, payload: { round: centers, ...run, ...together } }]
        : pass === 'prefill' && setting
          ? [
              {
                kind: 'prefilled',
                room,
                payload: { mud: { kind: 'setting', minutes: setting.minutes }, ...mixed, ...run, ...together },
              },
            ]
          : some.map(
              ({ coat, pieces, wet }): Said => ({
                kind: 'coat',
                room,
                payload: {
                  class: coat.class,
                  key: coat.key,
                  ...(coat.side ? { side: coat.side } : {}),
                  part: 1,
                  ...(pieces ? { pieces: pieces.map((id) => ({ id })) } : {}),
                  ...wet,
                  ...(wet.mud.kind === 'setting' ? mixed : {}),
                  tool: toolWords(coat, unit),
                  ...run,
                  ...together,
                  seen: known,
                },
              }),
            );
  const send = async (press: Press, mixed?: Mixed) => {
    const run = time.until(press.at);
    if (!run) return;
    if (under && isSame(press.coats, coats))
      return log.ask(under.words, { fixFirst: under.items }, said(press, run, mixed), { at: press.at });
    if (!(await log.write(said(press, run, mixed), { at: press.at }))) return;
    setPressed(undefined);
    setTapped(new Set());
    time.forget();
  };
  const press = (some: readonly CoatToLog[]) => {
    const isAgain = pressed && isSame(pressed.coats, some);
    const next = isAgain ? pressed : { at: log.serverNow(), coats: some, seen };
    setPressed(next);
    if (!setting) void send(next);
    else if (setting.batch) void send(next, mixedFrom(setting.batch, timeZone));
  };
  const these = (): readonly CoatToLog[] =>
    coats.flatMap((one) => {
      const pieces = own.filter((piece) => tapped.has(piece.id) && goesOn(one, piece)).map(({ id }) => id);
      return pieces.length > 0 ? [{ ...one, pieces }] : [];
    });
  return (
    <div className="contents">
      {map && own.length > 0 && <JobPicture map={map} own={own} tapped={tapped} onTap={setTapped} />}
      {setting && (
        <BatchClock
          log={log}
          now={now}
          minutes={setting.minutes}
          most={setting.most}
          batch={setting.batch}
          unit={unit}
          timeZone={timeZone}
        />
      )}
      <SelectField
        label="With"
        value={partner}
        onChange={(event) => setPartner(event.target.value)}
        options={[
          ['', 'no one else'],
          ...crew.filter((person) => person.id !== me).map(({ id, name }) => [id, name] as const),
        ]}
      />
      {time.field}
      {asked === undefined ? (
        // Within reach of a thumb, however long the card is.
        <div className="sticky bottom-15 z-10 -mx-5 space-y-2 border-t border-base-300 bg-sheet px-5 py-3 md:bottom-0">
          <button
            type="button"
            className="btn btn-primary btn-xl h-auto w-full py-5 text-xl"
            disabled={log.busy}
            onClick={() => press(tapped.size > 0 ? these() : coats)}
          >
            {tapped.size > 0 ? `Done: these ${tapped.size}` : 'Done'}
          </button>
          {halves && tapped.size === 0 && (
            <div className="grid grid-cols-2 gap-2">
              {BLOCKS.map((half) => (
                <button
                  key={half}
                  type="button"
                  className="btn btn-lg"
                  disabled={log.busy}
                  onClick={() => press(halves[half])}
                >
                  {half === 'walls' ? 'Walls' : 'Ceiling'} done
                </button>
              ))}
            </div>
          )}
        </div>
      ) : (
        <fieldset className="space-y-2 rounded-lg border border-base-300 p-3">
          <legend className="px-1 font-semibold">Setting mud: when was it mixed?</legend>
          <div className="grid grid-cols-2 gap-2">
            {MIXED_MINUTES.map((minutes) => (
              <button
                key={minutes}
                type="button"
                className="btn btn-lg"
                disabled={log.busy}
                onClick={() => void send(asked, { mixedAt: iso(asked.at - minutes * MINUTE_MS) })}
              >
                {minutes === 0 ? 'Just now' : `${minutes} min ago`}
              </button>
            ))}
            <button type="button" className="btn btn-ghost btn-lg" onClick={() => setPressed(undefined)}>
              Not done yet
            </button>
          </div>
        </fieldset>
      )}
      {log.question && (
        <CoatQuestion
          question={log.question}
          busy={log.busy}
          done={() => {
            setPressed(undefined);
            setTapped(new Set());
            time.forget();
          }}
        />
      )}
      {log.message && (
        <p role="alert" className="mt-2 text-error">
          {log.message}
        </p>
      )}
    </div>
  );
}
