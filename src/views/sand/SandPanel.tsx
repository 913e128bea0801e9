'use client';

import { useState } from 'react';
import { useLog } from '@/client/useLog';
import { SANDED_WITH } from '@/core/log/choices';
import type { CoatedClass } from '@/core/method/coat';
import { sandedWith } from '@/core/method/finalSanding';
import { SelectField } from '@/ui/SelectField';
import { StateMark } from '@/ui/state/StateMark';
import { turned } from '@/ui/turned';
import { FINAL_GRIT } from '@/words/sandWords';
import type { SandRow } from './sandRows';

/** A final pass is fine; what lies under another coat was coarser. Common practice, no source. */
const GRITS = ['100', '120', '150', '180', '220'] as const;
const WITH_WORDS: Readonly<Record<(typeof SANDED_WITH)[number], string>> = {
  pole: 'pole sander',
  sponge: 'fine sponge',
  vacuum: 'vacuum sander',
  wet: 'wet sponge',
};

/** What of a room may be sanded, class by class; what is sanded is said for all of it, or for some classes on some faces. */
export function SandPanel({
  now,
  room,
  rows,
  faces,
  works,
}: {
  readonly now: number;
  readonly room: { readonly id: string; readonly name: string };
  readonly rows: readonly SandRow[];
  readonly faces: readonly { readonly id: string; readonly name: string }[];
  readonly works: boolean;
}) {
  const log = useLog(now);
  const [classes, setClasses] = useState<ReadonlySet<CoatedClass>>(new Set());
  const [on, setOn] = useState<ReadonlySet<string>>(new Set());
  const [toolSaid, setTool] = useState<(typeof SANDED_WITH)[number]>();
  const [grit, setGrit] = useState<string>(FINAL_GRIT);
  const can = rows.filter((row) => row.can);
  const chosen = can.filter((row) => classes.has(row.class));
  const tool =
    toolSaid ?? (chosen.length > 0 && chosen.every((row) => sandedWith(row.class) === 'sponge') ? 'sponge' : 'pole');
  const some = chosen.length > 0 || on.size > 0;
  const send = async () => {
    const said = {
      ...(chosen.length > 0
        ? { classes: chosen.map((row) => row.class) }
        : some
          ? { classes: can.map((row) => row.class) }
          : {}),
      ...(on.size > 0 ? { faces: [...on] } : {}),
      with: tool,
      ...(tool === 'wet' ? {} : { grit: Number(grit) }),
    };
    if (!(await log.write([{ kind: 'sanded', room: room.id, payload: said }]))) return;
    setClasses(new Set());
    setOn(new Set());
  };
  const isWhole = rows.every((row) => row.can || row.isSanded);
  return (
    <section className="space-y-3" aria-label={`Sanding of ${room.name}`}>
      <ul className="divide-y divide-base-300">
        {rows.map((row) => (
          <li key={row.class} className="flex min-h-11 flex-wrap items-center gap-x-4 gap-y-1 py-1">
            {works && row.can ? (
              <label className="flex min-h-11 flex-1 basis-full items-center gap-3 font-semibold sm:basis-40">
                <input
                  type="checkbox"
                  className="checkbox"
                  checked={classes.has(row.class)}
                  onChange={() => setClasses(turned(classes, row.class))}
                />
                <span>
                  {row.name}
                  <span className="block text-sm font-normal text-muted first-letter:uppercase">{row.how}</span>
                </span>
              </label>
            ) : (
              <span className="flex-1 basis-40 font-semibold">{row.name}</span>
            )}
            <span className="text-sm text-muted">
              {row.amount}
              {row.takes && `, ${row.takes}`}
            </span>
            <StateMark words={row.words} className="text-sm" />
          </li>
        ))}
      </ul>
      {works && can.length > 0 && (
        <>
          <details>
            <summary className="flex min-h-11 cursor-pointer items-center text-muted">
              Only some faces; with what{on.size > 0 ? `: ${on.size} chosen` : ''}
            </summary>
            <div className="flex flex-wrap gap-x-5">
              {faces.map((face) => (
                <label key={face.id} className="flex min-h-11 items-center gap-2">
                  <input
                    type="checkbox"
                    className="checkbox"
                    checked={on.has(face.id)}
                    onChange={() => setOn(turned(on, face.id))}
                  />
                  {face.name}
                </label>
              ))}
            </div>
            <div className="mt-2 grid max-w-md grid-cols-2 gap-3">
              <SelectField
                label="With"
                value={tool}
                onChange={(event) => setTool(SANDED_WITH.find((own) => own === event.target.value) ?? 'pole')}
                options={SANDED_WITH.map((own) => [own, WITH_WORDS[own]] as const)}
              />
              {tool !== 'wet' && (
                <SelectField
                  label="Grit"
                  value={grit}
                  onChange={(event) => setGrit(event.target.value)}
                  options={GRITS.map((own) => [own, own] as const)}
                />
              )}
            </div>
          </details>
          <button
            type="button"
            className="btn btn-primary btn-lg"
            disabled={log.busy || !(some || isWhole)}
            onClick={() => void send()}
          >
            {some
              ? `Sanded: ${(chosen.length > 0 ? chosen : can).map((row) => row.name.toLowerCase()).join(', ')}${on.size > 0 ? ` on ${on.size} of ${faces.length} faces` : ''}`
              : `${room.name} is sanded`}
          </button>
        </>
      )}
      {log.message && (
        <p role="alert" className="text-error">
          {log.message}
        </p>
      )}
    </section>
  );
}
