'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { post } from '@/client/sendCommand';
import { TextField } from '@/ui/TextField';
import { turned } from '@/ui/turned';
import { DrawnName, type Stroke, strokesToSend } from './DrawnName';

/** A room whose sheet a builder can sign on a share link. */
export interface SignableRoom {
  readonly id: string;
  readonly name: string;
  /** The hash of the sheet that is shown. */
  readonly sheet: string;
  /** Who signed this very sheet. */
  readonly signedBy: readonly string[];
}

type Fault = { readonly at: 'rooms' | 'name' | 'strokes' | 'send'; readonly words: string };

const LOST = 'No connection. Nothing was signed. Try again.';

/** The place on a share link where the builder signs the sheets of rooms, all with one signature. */
export function SignOnLink({ secret, rooms }: { readonly secret: string; readonly rooms: readonly SignableRoom[] }) {
  const router = useRouter();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [strokes, setStrokes] = useState<readonly Stroke[]>([]);
  const [name, setName] = useState('');
  const [fault, setFault] = useState<Fault>();
  const [isBusy, setBusy] = useState(false);
  const [signed, setSigned] = useState<string>();
  // The same ids until the server has answered: sent twice it is signed once.
  const ids = useRef(new Map<string, string>());
  const faultAt = (at: Fault['at']) => (fault?.at === at ? fault.words : undefined);

  const sign = async () => {
    const drawn = strokesToSend(strokes);
    const some = rooms.filter(({ id }) => chosen.has(id));
    if (some.length === 0) return setFault({ at: 'rooms', words: 'Choose the rooms that you sign for.' });
    if (name.trim() === '') return setFault({ at: 'name', words: 'needs a name' });
    if (drawn.length === 0) return setFault({ at: 'strokes', words: 'Draw your signature first.' });
    setFault(undefined);
    setBusy(true);
    const sheets = some.map(({ id: room, sheet }) => {
      const id = ids.current.get(room) ?? crypto.randomUUID();
      ids.current.set(room, id);
      return { id, room, sheet };
    });
    try {
      const response = await post(`/api/shown/${secret}`, { name: name.trim(), strokes: drawn, sheets });
      const answer: { readonly message?: string } = await response.json();
      ids.current.clear();
      if (!response.ok) return setFault({ at: 'send', words: answer.message ?? LOST });
      setSigned(some.map((room) => room.name).join(', '));
      setChosen(new Set());
      setStrokes([]);
      router.refresh();
    } catch {
      setFault({ at: 'send', words: LOST });
    } finally {
      setBusy(false);
    }
  };

  if (rooms.length === 0)
    return <p className="no-print sheet p-4 text-muted">You can sign here once rooms are ready to hand over.</p>;
  return (
    <section className="no-print sheet space-y-3 p-4" aria-label="Sign">
      <h2>Sign for rooms</h2>
      <p className="text-muted">
        You confirm the sheets as they are shown here. A signature can’t be undone; after more work you can sign again.
      </p>
      <ul className="divide-y divide-base-300">
        {rooms.map((room) => (
          <li key={room.id}>
            <label className="flex min-h-12 flex-wrap items-center gap-3 font-semibold">
              <input
                type="checkbox"
                className="checkbox"
                checked={chosen.has(room.id)}
                onChange={() => setChosen(turned(chosen, room.id))}
              />
              {room.name}
              {room.signedBy.length > 0 && (
                <span className="font-normal text-muted">signed by {room.signedBy.join(', ')}</span>
              )}
            </label>
          </li>
        ))}
      </ul>
      {faultAt('rooms') && (
        <p role="alert" className="text-error">
          {faultAt('rooms')}
        </p>
      )}
      <TextField
        label="Your name"
        className="max-w-xl"
        value={name}
        maxLength={80}
        autoComplete="name"
        error={faultAt('name')}
        onChange={({ target }) => setName(target.value)}
      />
      <DrawnName strokes={strokes} setStrokes={setStrokes} />
      {(faultAt('strokes') ?? faultAt('send')) && (
        <p role="alert" className="text-error">
          {faultAt('strokes') ?? faultAt('send')}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-2">
        <button type="button" className="btn btn-primary btn-lg" disabled={isBusy} onClick={() => void sign()}>
          Sign {chosen.size > 0 && `for ${chosen.size} ${chosen.size === 1 ? 'room' : 'rooms'}`}
        </button>
        <button type="button" className="btn btn-lg" disabled={strokes.length === 0} onClick={() => setStrokes([])}>
          Draw again
        </button>
        {signed && <span role="status">Signed: {signed}.</span>}
      </div>
    </section>
  );
}
