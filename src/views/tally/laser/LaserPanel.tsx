'use client';

import { type RefObject, useEffect, useRef, useState } from 'react';
import { useCommand } from '@/client/useCommand';
import { parseLength } from '@/core/measure/parseLength';
import type { LengthUnit } from '@/core/measure/unit';
import type { QuickRoom } from '@/core/room/schema';
import { OwnSecret } from '@/ui/OwnSecret';
import { TextField } from '@/ui/TextField';
import { lengthWords } from '@/words/lengthWords';
import {
  askedNext,
  type MeasuredOpening,
  type MeasuredRoom,
  NOTHING_MEASURED,
  roomMeasured,
  withOpening,
  withoutLast,
  withReading,
} from './laserRoom';

const WALLS = [0, 1, 2, 3] as const;

/** A room of four walls taken off by one reading after the other, with one hand; and the key with which a measure sends them. */
export function LaserPanel({
  unit,
  floor,
  asks,
  onRoom,
}: {
  readonly unit: LengthUnit;
  readonly floor: string;
  /** Where readings go that no field takes. */
  readonly asks: RefObject<((mm: number) => void) | undefined>;
  readonly onRoom: (room: QuickRoom) => void;
}) {
  const [room, setRoom] = useState(NOTHING_MEASURED);
  const [name, setName] = useState('');
  const [last, setLast] = useState<number>();
  const [kind, setKind] = useState<MeasuredOpening['kind']>();
  const [typed, setTyped] = useState('');
  const [fault, setFault] = useState<string>();
  const next = askedNext(room);
  // Readings come faster than pictures: each is laid on the one before, drawn or not.
  const newest = useRef({ room, name });
  const change = (step: (room: MeasuredRoom) => MeasuredRoom, called = newest.current.name) => {
    const to = step(newest.current.room);
    newest.current = { room: to, name: called };
    setRoom(to);
    setName(called);
    const made = roomMeasured(to, called, floor, unit);
    if (made) onRoom(made);
  };
  const take = (mm: number) => {
    setLast(mm);
    change((now) => withReading(now, mm));
  };
  useEffect(() => {
    asks.current = take;
    return () => {
      asks.current = undefined;
    };
  });
  const typeIt = () => {
    const read = parseLength(typed, unit);
    if (!read.ok) return setFault(read.reason);
    setFault(undefined);
    setTyped('');
    take(read.mm);
  };
  return (
    <section aria-label="By laser" className="sheet space-y-3 p-4 print:hidden">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h2 aria-live="polite">{next ?? (kind ? 'In which wall?' : 'A door, a window, or keep the room')}</h2>
        <p className="text-muted">{last === undefined ? 'no reading yet' : `last: ${lengthWords(last, unit)}`}</p>
      </div>
      {next === undefined && (
        <div className="flex flex-wrap gap-2">
          {kind === undefined ? (
            <>
              <button type="button" className="btn btn-xl" onClick={() => setKind('door')}>
                Door
              </button>
              <button type="button" className="btn btn-xl" onClick={() => setKind('window')}>
                Window
              </button>
            </>
          ) : (
            WALLS.map((wall) => (
              <button
                key={wall}
                type="button"
                className="btn btn-xl"
                onClick={() => {
                  change((now) => withOpening(now, kind, wall));
                  setKind(undefined);
                }}
              >
                Wall {wall + 1}
              </button>
            ))
          )}
        </div>
      )}
      <div className="flex flex-wrap items-end gap-3">
        <button
          type="button"
          className="btn btn-lg"
          disabled={room.sides.length === 0}
          onClick={() => (kind ? setKind(undefined) : change(withoutLast))}
        >
          Back
        </button>
        <TextField
          label="Or type it"
          className="w-32"
          value={typed}
          error={fault}
          onChange={({ target }) => setTyped(target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            typeIt();
          }}
        />
        <TextField
          label="Room"
          className="w-44"
          value={name}
          maxLength={80}
          onChange={({ target }) => change((now) => now, target.value)}
        />
      </div>
      <Pairing />
    </section>
  );
}

/** The key of one's laser measure: made, made anew and ended here. */
function Pairing() {
  const command = useCommand();
  const [key, setKey] = useState<string>();
  const make = async () => {
    const made = await command.run('makeLaser', {});
    if (made) setKey(made.key);
  };
  const drop = async () => {
    if ((await command.run('endSecret', { kind: 'laser' })) !== undefined) setKey(undefined);
  };
  return (
    <OwnSecret
      title="Pair a laser measure"
      secret={key}
      more={
        <>
          Without a measure: <code>npm run standin:laser -- --key …</code>
        </>
      }
      busy={command.busy}
      message={command.message}
      makeWords="Make a key"
      make={() => void make()}
      endWords="End the pairing"
      end={() => void drop()}
    >
      It sends each reading to <code>POST /api/laser</code> with this key, and it comes to the field that you are in, on
      this screen. The measure before is paired no more.
    </OwnSecret>
  );
}
