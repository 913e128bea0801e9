'use client';

import { useState } from 'react';
import type { Said, useLog } from '@/client/useLog';
import { wetMudOf } from '@/core/drying/wetMud';
import { parseLength } from '@/core/measure/parseLength';
import type { LengthUnit } from '@/core/measure/unit';
import type { Method } from '@/core/method/resolveMethod';
import { Dialog } from '@/ui/Dialog';
import { CoatQuestion } from '@/ui/entries/CoatQuestion';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { coatName, purposeOf, toolWords } from '@/words/coatWords';
import { smallWords } from '@/words/lengthWords';
import { CLASS_NAMES, catchUpWords } from '@/words/stateWords';
import { amountWords, facesAt, type Logged, openCoats, partOf, SOME_PIECES, wheres } from './logged';
import { PieceChooser } from './PieceChooser';
import { RunFields } from './RunFields';
import { useRun } from './useRun';

const MUDS = [
  ['drying', 'drying mud'],
  ['5', 'setting, 5 min'],
  ['20', 'setting, 20 min'],
  ['45', 'setting, 45 min'],
  ['90', 'setting, 90 min'],
] as const;
const WHEN = [
  ['0', 'just now'],
  ['1', '1 hour ago'],
  ['2', '2 hours ago'],
  ['4', '4 hours ago'],
  ['8', '8 hours ago'],
  ['16', '16 hours ago'],
  ['24', 'a day ago'],
] as const;
const HOUR_MS = 3_600_000;
const MINUTE_MS = 60_000;
const LONGEST_IN_PAN_MIN = 600;
type Share = 'all' | 'half' | 'some';

/** Logging one coat: which, how much of it, and with what mud. All of the next coat in drying mud is one press. */
export function LogDialog({
  logged,
  method,
  unit,
  timeZone,
  me,
  crew,
  busy,
  message,
  question,
  write,
  serverNow,
  close,
}: {
  readonly logged: Logged;
  /** How the room's coats are put on. */
  readonly method: Method;
  readonly unit: LengthUnit;
  readonly timeZone: string;
  readonly me: string;
  readonly crew: readonly { readonly id: string; readonly name: string }[];
  readonly busy: boolean;
  readonly message: string | undefined;
  readonly question: ReturnType<typeof useLog>['question'];
  readonly write: ReturnType<typeof useLog>['write'];
  readonly serverNow: () => number;
  readonly close: () => void;
}) {
  const { row, cell } = logged;
  const open = openCoats(logged, method);
  const [chosen, setChosen] = useState(open[0] ? open[0].coat.id : '');
  const [chosenMud, setMud] = useState<string>();
  const [thickness, setThickness] = useState('');
  const [some, setSome] = useState('');
  const [hoursAgo, setHoursAgo] = useState('0');
  const [mixed, setMixed] = useState('0');
  const [where, setWhere] = useState('');
  const [tapped, setTapped] = useState<ReadonlySet<string>>(new Set());
  const [product, setProduct] = useState('');
  const [batch, setBatch] = useState('');
  const run = useRun(me, crew, timeZone);
  // Fixed when the dialog opens, so that pressing again after a lost answer sends the same entry.
  const [opened] = useState(serverNow);
  const [fault, setFault] = useState<{
    readonly field: 'some' | 'thickness' | 'mixed' | 'run' | 'pieces';
    readonly reason: string;
  }>();
  const next = open.find(({ coat }) => coat.id === chosen);
  const name = CLASS_NAMES[cell.class];
  const planned = next?.coat.settingMinutes;
  const mud = chosenMud ?? (planned === undefined ? 'drying' : String(planned));
  const asPlanned = next && wetMudOf(next.coat, { ...method, level: row.level });
  const muds = MUDS.some(([value]) => value === mud) ? MUDS : [...MUDS, [mud, `setting, ${mud} min`] as const];

  const send = async (share: Share) => {
    if (!next) return;
    setFault(undefined);
    const { class: kind, key, side } = next.coat;
    const part = share === 'some' ? partOf(some, cell, unit) : undefined;
    if (part !== undefined && typeof part !== 'number') return setFault({ field: 'some', reason: part.reason });
    const depth = thickness.trim() === '' ? undefined : parseLength(thickness, unit);
    if (depth && !depth.ok) return setFault({ field: 'thickness', reason: depth.reason });
    if (depth && (depth.mm <= 0 || depth.mm > 50))
      return setFault({
        field: 'thickness',
        reason: `must be greater than 0 and at most ${unit === 'in' ? '2 in' : '50 mm'}`,
      });
    const minutes = mud === 'drying' ? 0 : Number(mixed);
    if (!(minutes >= 0 && minutes <= LONGEST_IN_PAN_MIN) || mixed.trim() === '')
      return setFault({ field: 'mixed', reason: 'how many minutes before?' });
    const said = run.read(opened, opened - Number(hoursAgo) * HOUR_MS);
    if (!said.ok) return setFault({ field: 'run', reason: said.reason });
    const { at } = said;
    const covered = next.share;
    const faces = facesAt(where, logged);
    if (where === SOME_PIECES && tapped.size === 0)
      return setFault({ field: 'pieces', reason: 'Tap the joints that are done.' });
    const coat: Said = {
      kind: 'coat',
      room: row.id,
      payload: {
        class: kind,
        key,
        ...(side ? { side } : {}),
        ...(faces ? { faces } : {}),
        ...(where === SOME_PIECES ? { pieces: [...tapped].sort().map((id) => ({ id })) } : {}),
        // The extra coat of single joints goes on those.
        ...(where === '' && next.isExtra ? { pieces: cell.extra?.pieces.map((id) => ({ id })) } : {}),
        ...said.run,
        part: part ?? (share === 'half' && covered === 0 ? 0.5 : 1),
        mud: mud === 'drying' ? { kind: 'drying' } : { kind: 'setting', minutes: Number(mud) },
        thickness: depth?.mm ?? asPlanned?.thickness,
        substrate: asPlanned?.substrate,
        ...(mud === 'drying' ? {} : { mixedAt: new Date(at - minutes * MINUTE_MS).toISOString() }),
        tool: toolWords(next.coat, unit),
        ...(product.trim() ? { product: product.trim() } : {}),
        ...(batch.trim() ? { batch: batch.trim() } : {}),
      },
    };
    if (await write([coat], { at })) close();
  };

  return (
    <Dialog
      title={`${row.name}: ${name.toLowerCase()}`}
      close={close}
      className={where === SOME_PIECES ? 'sm:max-w-3xl' : ''}
    >
      <p className="-mt-4 text-muted">{amountWords(cell, unit)}</p>
      {next ? (
        <>
          <SelectField
            label="Coat"
            value={chosen}
            onChange={(event) => {
              setChosen(event.target.value);
              setTapped(new Set());
            }}
            options={open.map(
              ({ coat, share }) =>
                [coat.id, `${coatName(coat)}${share > 0 ? `, ${Math.round(share * 100)} % done` : ''}`] as const,
            )}
          />
          <p className="text-sm text-muted">
            It {purposeOf(next.coat)}. {toolWords(next.coat, unit)}, {next.coat.consistency} mud.
          </p>
          {row.over && (
            <p className="text-sm font-semibold text-warning">
              This room is handed over. Logging a coat reopens it for sanding, checking and sign-off.
            </p>
          )}
          {cell.now === 'wet' && (
            <p className="text-sm font-semibold text-warning">
              The coat below is still wet. Log this only if it is really on.
            </p>
          )}
          {cell.catchUp && mud === 'drying' && next.coat.key === cell.catchUp.key && (
            <p className="flex flex-wrap items-center gap-2 text-sm">
              <span>{catchUpWords(cell.catchUp)}</span>
              {cell.catchUp.setting && (
                <button
                  type="button"
                  className="btn btn-sm min-h-10"
                  onClick={() => setMud(String(cell.catchUp?.setting?.minutes))}
                >
                  Use setting mud
                </button>
              )}
            </p>
          )}
          <div className="grid grid-cols-2 gap-3">
            <SelectField label="Mud" value={mud} onChange={(event) => setMud(event.target.value)} options={muds} />
            <TextField
              label="Thickness"
              placeholder={asPlanned && smallWords(asPlanned.thickness, unit)}
              value={thickness}
              error={fault?.field === 'thickness' ? fault.reason : undefined}
              onChange={(event) => setThickness(event.target.value)}
            />
          </div>
          <div className="grid grid-cols-2 gap-3">
            <SelectField
              label="Put on"
              value={hoursAgo}
              onChange={(event) => setHoursAgo(event.target.value)}
              options={WHEN}
            />
            <SelectField
              label="Where"
              value={where}
              onChange={(event) => setWhere(event.target.value)}
              options={wheres(logged)}
            />
            {mud !== 'drying' && (
              <TextField
                label="Mixed, minutes before"
                inputMode="numeric"
                value={mixed}
                error={fault?.field === 'mixed' ? fault.reason : undefined}
                onChange={(event) => setMixed(event.target.value)}
              />
            )}
          </div>
          {where === SOME_PIECES && (
            <div>
              <PieceChooser
                key={next.coat.id}
                room={row.id}
                coat={next.coat}
                unit={unit}
                chosen={tapped}
                onChange={(pieces) => {
                  setTapped(pieces);
                  setFault(undefined);
                }}
              />
              {fault?.field === 'pieces' && (
                <p role="alert" className="text-error">
                  {fault.reason}
                </p>
              )}
            </div>
          )}
          <details className="rounded-lg border border-base-300 px-3 py-1">
            <summary className="cursor-pointer leading-8 font-semibold">
              {product.trim() || batch.trim()
                ? `Pail: ${[product.trim(), batch.trim() && `batch ${batch.trim()}`].filter(Boolean).join(', ')}`
                : 'What was in the pail'}
            </summary>
            <div className="grid grid-cols-2 gap-3 py-2">
              <TextField
                label="Product"
                maxLength={80}
                value={product}
                onChange={(event) => setProduct(event.target.value)}
              />
              <TextField
                label="Batch"
                maxLength={40}
                value={batch}
                onChange={(event) => setBatch(event.target.value)}
              />
            </div>
          </details>
          <RunFields run={run} crew={crew} error={fault?.field === 'run' ? fault.reason : undefined} />
          {question && <CoatQuestion question={question} busy={busy} done={close} />}
          {message && (
            <p role="alert" className="text-error">
              {message}
            </p>
          )}
          <button
            type="button"
            className="btn btn-primary btn-xl w-full"
            disabled={busy}
            onClick={() => void send('all')}
          >
            {where !== '' ? 'Done there' : next.share > 0 ? 'The rest is done' : 'All done'}
          </button>
          {next.share === 0 && where === '' && (
            <button type="button" className="btn btn-lg w-full" disabled={busy} onClick={() => void send('half')}>
              Half of it
            </button>
          )}
          {cell.class !== 'surface' && where === '' && (
            <div className="flex items-end gap-2">
              <TextField
                label={cell.class === 'fasteners' ? 'How many' : 'Part of it'}
                className="flex-1"
                value={some}
                placeholder={cell.class === 'fasteners' ? '60' : unit === 'in' ? "12' 6" : '3.8 m'}
                error={fault?.field === 'some' ? fault.reason : undefined}
                onChange={(event) => setSome(event.target.value)}
              />
              <button
                type="button"
                className={`btn btn-lg ${fault?.field === 'some' ? 'mb-6' : ''}`}
                disabled={busy}
                onClick={() => void send('some')}
              >
                Some
              </button>
            </div>
          )}
        </>
      ) : (
        <p>Every coat is on.</p>
      )}
      <div className="modal-action">
        <button type="button" className="btn" onClick={close}>
          Cancel
        </button>
      </div>
    </Dialog>
  );
}
