'use client';

import { useMemo, useState } from 'react';
import { useLog } from '@/client/useLog';
import type { LengthUnit } from '@/core/measure/unit';
import { COATED_CLASSES } from '@/core/method/coat';
import type { Method } from '@/core/method/resolveMethod';
import { BoardsQuestion } from '@/ui/entries/BoardsQuestion';
import { HoldButton } from '@/ui/entries/HoldButton';
import { SectionGlyph } from '@/ui/section/SectionGlyph';
import { StateMark } from '@/ui/state/StateMark';
import { useKey } from '@/ui/useKey';
import { useLater } from '@/ui/useLater';
import { percent } from '@/words/percent';
import { CLASS_NAMES } from '@/words/stateWords';
import { instantWords } from '@/words/when';
import type { BoardCell, RecentEntry } from './boardRows';
import { CenterButton } from './CenterButton';
import { LogDialog } from './LogDialog';
import type { Logged } from './logged';
import { PrefillButton } from './PrefillButton';
import { receivedRows, type SentRows } from './sentRows';

interface CoatBoardProps {
  readonly rows: SentRows;
  readonly methods: readonly Method[];
  readonly recent: readonly RecentEntry[];
  readonly now: number;
  readonly timeZone: string;
  readonly unit: LengthUnit;
  readonly role: 'lead' | 'finisher' | 'viewer';
  /** Who is looking, and who works here. */
  readonly me: string;
  readonly crew: readonly { readonly id: string; readonly name: string }[];
}

const FILTERS = [
  ['all', 'Everything'],
  ['go', 'Go now'],
  ['wet', 'Still wet'],
  ['stuck', 'Stuck'],
] as const;
type Filter = (typeof FILTERS)[number][0];

/** More rooms than a screen of 800 px shows. */
const SEEN_FIRST = 9;

/** Rooms × joint classes; each cell is a small section with its coats filled in. A cell opens the log. */
export function CoatBoardView({ rows: sent, methods, recent, now, timeZone, unit, role, me, crew }: CoatBoardProps) {
  const rows = useMemo(() => receivedRows(sent), [sent]);
  const log = useLog(now);
  const [filter, setFilter] = useState<Filter>('all');
  const [logging, setLogging] = useState<Logged>();
  const kinds = [...new Set(rows.flatMap(({ cells }) => cells.map((cell) => cell.class)))].sort(
    (a, b) => COATED_CLASSES.indexOf(a) - COATED_CLASSES.indexOf(b),
  );
  const cells = rows.flatMap((row) => row.cells);
  const count = (kind: Filter) => (kind === 'all' ? rows.length : cells.filter((cell) => cell.now === kind).length);
  const shown = useLater(
    filter === 'all' ? rows : rows.filter((row) => row.cells.some((cell) => cell.now === filter)),
    SEEN_FIRST,
  );
  const mayLog = role !== 'viewer';
  const method = methods[logging?.row.method ?? 0];
  const last = recent.find(({ mine }) => mine || role === 'lead');

  useKey('u', () => {
    if (last) void log.write([{ kind: 'void', room: null, payload: { target: last.id } }]);
  });

  return (
    <main className="flex-1 space-y-4 p-4 lg:px-5">
      <h1 className="sr-only">Coat board</h1>
      <div className="flex flex-wrap items-center gap-2">
        {FILTERS.map(([kind, words]) => (
          <button
            key={kind}
            type="button"
            aria-pressed={filter === kind}
            className={`btn rounded-full ${filter === kind ? 'btn-neutral' : ''}`}
            onClick={() => setFilter(kind)}
          >
            {words} <span className="opacity-80">{count(kind)}</span>
          </button>
        ))}
        <span className="flex-1" />
        <Legend />
      </div>
      {log.message && (
        <p role="alert" className="text-error">
          {log.message}
        </p>
      )}
      {shown.length === 0 && (
        <p className="sheet p-6 text-center text-muted">
          {rows.length === 0 ? 'No rooms yet. Take the first one off in Tally.' : 'No room is in this state.'}
        </p>
      )}
      <div className="space-y-2" style={{ '--kinds': kinds.length } as React.CSSProperties}>
        <div
          aria-hidden="true"
          className="narrow hidden text-sm text-muted md:grid md:grid-cols-[6.5rem_1fr] lg:grid-cols-[9rem_1fr]"
        >
          <span className="px-3">Room</span>
          <span className="grid grid-cols-[repeat(var(--kinds),minmax(0,1fr))]">
            {kinds.map((kind) => (
              <span key={kind} className="px-2">
                {CLASS_NAMES[kind]}
              </span>
            ))}
          </span>
        </div>
        {shown.map((row) => (
          <section
            key={row.id}
            id={row.id}
            aria-label={row.name}
            className="sheet grid overflow-hidden target:border-primary md:grid-cols-[6.5rem_1fr] lg:grid-cols-[9rem_1fr]"
          >
            <header className="flex items-center justify-between gap-2 px-3 py-2 md:flex-col md:items-start md:justify-center md:gap-0">
              <h2 className="text-base">{row.name}</h2>
              <div className="flex w-full flex-wrap items-center gap-x-2 text-sm text-muted max-md:w-auto">
                {row.tooLarge ? 'too large to work out' : `${percent(row.progress)} %`}
                {role === 'lead' && <HoldButton row={row} timeZone={timeZone} busy={log.busy} write={log.write} />}
                {mayLog && row.prefill && (
                  <PrefillButton
                    row={row}
                    prefill={row.prefill}
                    unit={unit}
                    busy={log.busy}
                    message={log.message}
                    write={log.write}
                    serverNow={log.serverNow}
                  />
                )}
                {mayLog && row.center && (
                  <CenterButton
                    row={row}
                    center={row.center}
                    now={now}
                    timeZone={timeZone}
                    busy={log.busy}
                    write={log.write}
                  />
                )}
              </div>
            </header>
            {role === 'lead' && row.moved && (
              <div className="p-2 md:col-span-2 md:row-start-2">
                <BoardsQuestion room={row} {...row.moved} now={now} />
              </div>
            )}
            <ul className="grid divide-base-300 max-md:divide-y md:grid-cols-[repeat(var(--kinds),minmax(0,1fr))]">
              {kinds.map((kind) => {
                const cell = row.cells.find((candidate) => candidate.class === kind);
                return (
                  <li key={kind} className={cell ? '' : 'max-md:hidden'}>
                    {cell && (
                      <Cell cell={cell} way={row.way} open={mayLog ? () => setLogging({ row, cell }) : undefined} />
                    )}
                  </li>
                );
              })}
            </ul>
          </section>
        ))}
      </div>
      <Recent
        recent={recent}
        role={role}
        busy={log.busy}
        timeZone={timeZone}
        takeBack={(id) => void log.write([{ kind: 'void', room: null, payload: { target: id } }])}
      />
      {logging && method && (
        <LogDialog
          key={`${logging.row.id} ${logging.cell.class}`}
          logged={logging}
          method={method}
          unit={unit}
          timeZone={timeZone}
          me={me}
          crew={crew}
          busy={log.busy}
          message={log.message}
          question={log.question}
          write={log.write}
          serverNow={log.serverNow}
          close={() => setLogging(undefined)}
        />
      )}
    </main>
  );
}

function Cell({
  cell,
  way,
  open,
}: {
  readonly cell: BoardCell;
  readonly way: string;
  readonly open: (() => void) | undefined;
}) {
  const { words } = cell;
  const content = (
    <>
      <span className="narrow text-sm text-muted md:sr-only">{CLASS_NAMES[cell.class]}</span>
      <SectionGlyph kind={cell.class} layers={cell.coats} way={way} className="h-10 w-22 max-w-full shrink-0" />
      <StateMark words={words} className="narrow text-sm max-md:pr-6" />
      {cell.order !== undefined && (
        <span className="board-order state-go" title="Order to run them in">
          <span className="sr-only">Run as number </span>
          {cell.order}
        </span>
      )}
    </>
  );
  const look = `board-cell ${cell.now === 'go' ? 'bg-go-wash' : ''}`;
  if (!open) return <div className={look}>{content}</div>;
  return (
    <button
      type="button"
      className={`${look} hover:bg-base-200`}
      onClick={open}
      aria-label={`${CLASS_NAMES[cell.class]}: ${words.title}${words.detail ? `, ${words.detail}` : ''}${cell.order === undefined ? '' : `, number ${cell.order} to run`}. Log a coat`}
    >
      {content}
    </button>
  );
}

function Legend() {
  return (
    <ul className="hidden items-center gap-3 text-sm text-muted md:flex" aria-label="Legend">
      <li className="flex items-center gap-1">
        <span className="board-order state-go static">1</span> run first
      </li>
      {(['planned', 'wet', 'dry', 'sanded'] as const).map((phase) => (
        <li key={phase} className="flex items-center gap-1">
          <SectionGlyph kind="flat" layers={[{ phase, key: 'finish' }]} className="h-6 w-13" /> {phase}
        </li>
      ))}
    </ul>
  );
}

function Recent({
  recent,
  role,
  busy,
  timeZone,
  takeBack,
}: Pick<CoatBoardProps, 'recent' | 'role' | 'timeZone'> & {
  readonly busy: boolean;
  readonly takeBack: (id: string) => void;
}) {
  return (
    <section className="sheet p-4" aria-label="Last done">
      <h2>Last done</h2>
      {recent.length === 0 && (
        <p className="text-muted">Nothing is logged yet. Tap a section above when a coat is on.</p>
      )}
      <ul className="divide-y divide-base-300">
        {recent.map((entry) => (
          <li key={entry.id} className="flex flex-wrap items-center gap-x-4 py-1.5">
            <span className="flex-1">{entry.words}</span>
            <span className="text-sm text-muted">
              {entry.who}, {instantWords(entry.at, timeZone)}
            </span>
            {(role === 'lead' || (role === 'finisher' && entry.mine)) && (
              <button
                type="button"
                className="btn btn-sm"
                disabled={busy}
                onClick={() => takeBack(entry.id)}
                aria-label={`Undo ${entry.words}`}
              >
                Undo
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
