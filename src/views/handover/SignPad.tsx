'use client';

import { useRef, useState } from 'react';
import { useLog } from '@/client/useLog';
import { SIGN_AS } from '@/core/log/choices';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';

type Stroke = readonly (readonly [number, number])[];
const MOST_POINTS = 500;
const AS_WORDS: Readonly<Record<(typeof SIGN_AS)[number], string>> = { builder: 'for the builder', lead: 'crew lead' };

/** Where somebody draws their name with a finger, a pen or a mouse. */
export function SignPad({ now, room }: { readonly now: number; readonly room: string }) {
  const log = useLog(now);
  const pad = useRef<SVGSVGElement>(null);
  const [strokes, setStrokes] = useState<readonly Stroke[]>([]);
  const [name, setName] = useState('');
  const [as, setAs] = useState<(typeof SIGN_AS)[number]>('builder');
  const [fault, setFault] = useState<{ readonly field: 'name' | 'strokes'; readonly reason: string }>();
  const pointOf = ({ clientX, clientY }: React.PointerEvent): readonly [number, number] => {
    const box = pad.current?.getBoundingClientRect();
    if (!box) return [0, 0];
    const part = (at: number, from: number, size: number) =>
      Math.round(1000 * Math.min(1, Math.max(0, (at - from) / size)));
    return [part(clientX, box.x, box.width), part(clientY, box.y, box.height)];
  };
  const sign = async () => {
    if (name.trim() === '') return setFault({ field: 'name', reason: 'whose name is it?' });
    const drawn = strokes.filter((stroke) => stroke.length > 1);
    if (drawn.length === 0) return setFault({ field: 'strokes', reason: 'Draw the name first.' });
    setFault(undefined);
    const said = {
      name: name.trim(),
      as,
      strokes: drawn.map((stroke) => stroke.map(([x, y]): [number, number] => [x, y])),
    };
    if (!(await log.write([{ kind: 'signed', room, payload: said }]))) return;
    setStrokes([]);
    setName('');
  };
  return (
    <section className="no-print sheet space-y-3 p-4" aria-label="Sign">
      <h2>Sign on the screen</h2>
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          label="Name"
          value={name}
          maxLength={80}
          error={fault?.field === 'name' ? fault.reason : undefined}
          onChange={(event) => setName(event.target.value)}
        />
        <SelectField
          label="Signs"
          value={as}
          onChange={(event) => setAs(event.target.value === 'lead' ? 'lead' : 'builder')}
          options={SIGN_AS.map((own) => [own, AS_WORDS[own]] as const)}
        />
      </div>
      <svg
        ref={pad}
        viewBox="0 0 1000 1000"
        preserveAspectRatio="none"
        role="img"
        aria-label="Draw the name here"
        className="h-40 w-full max-w-xl cursor-crosshair touch-none rounded-lg border-2 border-dashed border-base-300 bg-base-100"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          const point = pointOf(event);
          setStrokes((before) => [...before, [point]]);
        }}
        onPointerMove={(event) => {
          if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
          const point = pointOf(event);
          setStrokes((before) => {
            const last = before.at(-1);
            return last && last.length < MOST_POINTS ? [...before.slice(0, -1), [...last, point]] : before;
          });
        }}
      >
        {strokes.map((stroke, index) => (
          <polyline
            key={index}
            points={stroke.join(' ')}
            className="fill-none stroke-base-content"
            strokeWidth={2.5}
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </svg>
      {(fault?.field === 'strokes' || log.message) && (
        <p role="alert" className="text-error">
          {fault?.field === 'strokes' ? fault.reason : log.message}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-primary btn-lg" disabled={log.busy} onClick={() => void sign()}>
          Sign
        </button>
        <button type="button" className="btn btn-lg" disabled={strokes.length === 0} onClick={() => setStrokes([])}>
          Draw again
        </button>
      </div>
    </section>
  );
}
