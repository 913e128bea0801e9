'use client';

import { useState } from 'react';
import { useLog } from '@/client/useLog';
import { SIGN_AS } from '@/core/log/choices';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { DrawnName, type Stroke, strokesToSend } from './DrawnName';

const AS_WORDS: Readonly<Record<(typeof SIGN_AS)[number], string>> = { builder: 'for the builder', lead: 'crew lead' };

/** Where somebody draws their name with a finger, a pen or a mouse. */
export function SignPad({
  now,
  rooms,
  signed,
}: {
  readonly now: number;
  /** The rooms that are signed for, by id. */
  readonly rooms: readonly string[];
  readonly signed?: () => void;
}) {
  const log = useLog(now);
  const [strokes, setStrokes] = useState<readonly Stroke[]>([]);
  const [name, setName] = useState('');
  const [as, setAs] = useState<(typeof SIGN_AS)[number]>('builder');
  const [fault, setFault] = useState<{ readonly field: 'name' | 'strokes'; readonly reason: string }>();
  const sign = async () => {
    if (name.trim() === '') return setFault({ field: 'name', reason: 'needs a name' });
    const drawn = strokesToSend(strokes);
    if (drawn.length === 0) return setFault({ field: 'strokes', reason: 'Draw the signature first.' });
    setFault(undefined);
    const said = {
      name: name.trim(),
      as,
      strokes: drawn,
    };
    if (!(await log.write(rooms.map((room) => ({ kind: 'signed', room, payload: said }))))) return;
    signed?.();
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
      <DrawnName strokes={strokes} setStrokes={setStrokes} />
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
