'use client';

import { useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { useCommand } from '@/client/useCommand';
import { usePlanAnswer } from '@/client/usePlanAnswer';
import type { FinishAnswer } from '@/contract/plan';
import type { HouseFinish, RoomFinish } from '@/core/plan/houseFinish';
import { dateFor, type PaintersDates } from '@/core/work/painters';
import { plural } from '@/words/plural';
import { dayWords, instantWords, spanWords } from '@/words/when';

const HOUR_MS = 3_600_000;

/** When the house and each room will be done by the plan, when the painters come, and what threatens that. */
export function FinishPanel({ version, maySet }: { readonly version: string; readonly maySet: boolean }) {
  const { answer, failed } = usePlanAnswer<FinishAnswer>('plan/finish', version);
  const [open, setOpen] = useState(false);
  const { finish, dates } = answer ?? {};
  const late = finish ? finish.rooms.flatMap((room) => threatTo(room, finish) ?? []) : [];
  return (
    <section className="sheet space-y-2 p-4 xl:col-span-2" aria-label="Finish">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2>Finish</h2>
        {dates && maySet && <PaintersDay dates={dates} room={null} label="Painters come" />}
      </div>
      {!finish && <p className="text-muted">{failed ?? 'Planning…'}</p>}
      {finish && dates && (
        <>
          <p>
            {finish.open ? `Planned finish ${instantWords(finish.finish, finish.timeZone)}` : 'No work left'}
            {finish.exceptHeld && ', except rooms on hold'}
            {answer && answer.unplanned > 0 && `, except ${roomsLater(answer.unplanned)}`}
            {dates.house && `; the painters come ${dayWords(dates.house)}`}.
          </p>
          {late.length > 0 && (
            <ul className="text-error">
              {late.map((words) => (
                <li key={words}>◆ {words}</li>
              ))}
            </ul>
          )}
          <button type="button" className="btn btn-sm" aria-expanded={open} onClick={() => setOpen(!open)}>
            Room by room
          </button>
          {open && (
            <table className="table">
              <thead>
                <tr>
                  <th scope="col">Room</th>
                  <th scope="col">Done</th>
                  <th scope="col">Painters</th>
                </tr>
              </thead>
              <tbody>
                {finish.rooms.map((room) => (
                  <tr key={room.id}>
                    <th scope="row">{room.name}</th>
                    <td>{doneWords(room, finish)}</td>
                    <td>
                      {maySet ? (
                        <PaintersDay dates={dates} room={room.id} label={`Painters come to ${room.name}`} hidden />
                      ) : (
                        datesWords(dateFor(dates, room.id))
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </>
      )}
    </section>
  );
}

/** The day on which the painters come, changed where it stands. */
function PaintersDay({
  dates,
  room,
  label,
  hidden = false,
}: {
  readonly dates: PaintersDates;
  readonly room: string | null;
  readonly label: string;
  /** Whether the table says it already. */
  readonly hidden?: boolean;
}) {
  const { id } = useHouse();
  const command = useCommand();
  const known = (room === null ? dates.house : dates.rooms[room]) ?? '';
  const [day, setDay] = useState(known);
  const save = async () => {
    if (day !== known) await command.run('setPainters', { house: id, room, day: day === '' ? null : day });
  };
  return (
    <div>
      <label className="flex items-center gap-2">
        <span className={hidden ? 'sr-only' : ''}>{label}</span>
        <input
          type="date"
          className="input input-sm w-40"
          value={day}
          disabled={command.busy}
          onChange={(event) => setDay(event.target.value)}
          onBlur={() => void save()}
        />
      </label>
      {command.message && (
        <p role="alert" className="text-sm text-error">
          {command.message}
        </p>
      )}
    </div>
  );
}

const roomsLater = (count: number): string => `${plural(count, 'room')} not in the plan yet`;

const datesWords = (day: string | undefined): string => (day === undefined ? '' : dayWords(day));

function doneWords({ end, whole, last }: RoomFinish, { timeZone }: HouseFinish): string {
  if (!whole) return 'partly unscheduled: see the run sheet';
  if (end === undefined) return 'done';
  return `${instantWords(end, timeZone)}${last ? ', if released by then' : ''}`;
}

/** Why a room will not be ready for the painters. */
function threatTo({ name, end, whole, due, late, last }: RoomFinish, { from }: HouseFinish): string | undefined {
  if (due === undefined) return undefined;
  const isOpen = end !== undefined || !whole;
  if (isOpen && due < from) return `${name}: the painters’ date has passed, and it is not done`;
  if (!whole) return `${name}: not all of it can be planned before the painters come`;
  if (late === 0) return undefined;
  const why = last ? ' (on hold with no end date)' : '';
  return `${name}: ${spanWords(Math.ceil(late / HOUR_MS))} after the painters come${why}`;
}
