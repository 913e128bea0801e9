import { dayOf } from '@/core/measure/dayOf';
import type { CrewDay } from '@/core/work/shifts';
import { hoursOfDays, type Stretch } from '@/ui/houseHours';
import { PageLink } from '@/ui/PageLink';
import { useLater } from '@/ui/useLater';
import { dayWords, roundedUp, timeOf, untilWords } from '@/words/when';
import type { StripRoom } from './dryRooms';
import { HORIZON_MS } from './horizon';

/** A day of which less is shown has no room for its name. */
const LABELLED_MS = 9 * 3_600_000;
const LABELLED_BAR_MS = 4 * 3_600_000;
const LABELLED_ON_PHONE_MS = 15 * 3_600_000;
/** More rooms than a screen shows. */
const SEEN_FIRST = 24;
/** Heights of a row and of the days above them. */
const [ROW_REM, HEAD_REM] = [2, 1.5];
const NIGHT = { from: 20, to: 6 } as const;

interface StripProps {
  readonly houseId: string;
  readonly rooms: readonly StripRoom[];
  readonly chosen: string | undefined;
  readonly crew: readonly CrewDay[];
  readonly now: number;
  readonly timeZone: string;
}

/** The next three days, room by room: wet, partly ready, ready; behind them nights and when the crew works. */
export function HouseStrip({ houseId, rooms, chosen, crew, now, timeZone }: StripProps) {
  const shown = useLater(rooms, SEEN_FIRST);
  if (rooms.length === 0)
    return <p className="sheet p-8 text-center text-muted">No rooms yet. Take the first one off in Tally.</p>;
  const span = { from: now, to: now + HORIZON_MS };
  const place = ({ from, to }: Stretch) => ({
    left: `${((from - now) / HORIZON_MS) * 100}%`,
    width: `${((Math.min(to, span.to) - from) / HORIZON_MS) * 100}%`,
  });
  const shifts = crew
    .map(({ begins, ends }) => ({ from: Math.max(begins, span.from), to: ends }))
    .filter(({ from, to }) => to > from && from < span.to);
  const days = hoursOfDays(0, 24, span, timeZone);
  return (
    <section className="sheet min-w-0 p-4" aria-label="The next three days">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2>The next three days</h2>
        <Legend />
      </div>
      <div
        className="mt-2 grid grid-cols-[6.5rem_minmax(0,1fr)] content-start gap-x-2 sm:grid-cols-[8.5rem_minmax(0,1fr)]"
        // Those that are drawn later have their place already.
        style={{ minHeight: `${rooms.length * ROW_REM + HEAD_REM}rem` }}
      >
        <span />
        <div aria-hidden="true" className="narrow relative h-6 text-xs text-muted">
          {days.map((day) => (
            <span key={day.from} className="absolute truncate border-l border-base-300 pl-1" style={place(day)}>
              {day.to - day.from > LABELLED_MS && dayWords(dayOf(day.from, timeZone))}
            </span>
          ))}
          {shifts.map((shift) => (
            <span key={shift.from} className="strip-shift" style={place(shift)} />
          ))}
        </div>
        <div className="relative col-start-2 row-start-2" style={{ gridRowEnd: `span ${rooms.length}` }}>
          {hoursOfDays(NIGHT.from, NIGHT.to, span, timeZone).map((night) => (
            <span key={night.from} aria-hidden="true" className="strip-night" style={place(night)} />
          ))}
        </div>
        {shown.map((room, index) => (
          <Row
            key={room.id}
            row={index + 2}
            room={room}
            href={`/h/${houseId}/dry?room=${encodeURIComponent(room.id)}`}
            chosen={room.id === chosen}
            now={now}
            timeZone={timeZone}
            place={place}
          />
        ))}
      </div>
      <p className="mt-1 text-xs text-muted">
        Shaded: nights from {NIGHT.from}:00 to {NIGHT.to}:00. Ruled below the days: when the crew works.
      </p>
    </section>
  );
}

function Row({
  row,
  room,
  href,
  chosen,
  now,
  timeZone,
  place,
}: {
  readonly row: number;
  readonly room: StripRoom;
  readonly href: string;
  readonly chosen: boolean;
  readonly now: number;
  readonly timeZone: string;
  readonly place: (stretch: Stretch) => { readonly left: string; readonly width: string };
}) {
  const words = rowWords(room, now, timeZone);
  const end = now + HORIZON_MS;
  const goesNow = room.classes.some(({ at, round }) => at === 0 && round !== undefined);
  const first = Math.min(end, room.first ?? now);
  const all = Math.min(end, room.all ?? now);
  const bars = [
    ...(room.first !== undefined && !goesNow ? [{ kind: 'wet', from: now, to: first } as const] : []),
    ...(room.all !== undefined ? [{ kind: 'part', from: goesNow ? now : first, to: all } as const] : []),
    ...(!room.stuck && !room.done ? [{ kind: 'ready', from: all, to: end } as const] : []),
  ].filter(({ from, to }) => to > from);
  return (
    <>
      <PageLink
        href={href}
        scroll={false}
        aria-current={chosen ? 'true' : undefined}
        aria-label={`${room.name}: ${words}`}
        style={{ gridRow: row }}
        className={`narrow col-start-1 flex min-h-8 items-center truncate border-l-4 max-md:min-h-12 pl-1.5 text-sm font-semibold hover:text-primary ${chosen ? 'border-secondary' : 'border-transparent'}`}
      >
        <span className="truncate">{room.name}</span>
      </PageLink>
      <div className="relative col-start-2 min-h-8 max-md:min-h-12" style={{ gridRow: row }} aria-hidden="true">
        {bars.map(({ kind, ...stretch }) => (
          <span key={kind} className={`strip-bar strip-${kind}`} style={place(stretch)}>
            {kind !== 'ready' && stretch.to - stretch.from >= LABELLED_BAR_MS && (
              <span className={stretch.to - stretch.from < LABELLED_ON_PHONE_MS ? 'max-sm:hidden' : ''}>
                {barWords(kind, room, timeZone)}
              </span>
            )}
          </span>
        ))}
        {bars.length === 0 && <span className="narrow absolute top-1.5 left-1 text-xs text-muted">{words}</span>}
      </div>
    </>
  );
}

function barWords(kind: 'wet' | 'part', room: StripRoom, timeZone: string): string {
  const until = kind === 'wet' ? room.first : room.all;
  return until !== undefined && Number.isFinite(until) ? timeOf(roundedUp(until), timeZone) : '';
}

/** What is said of a room in one line. */
export function rowWords(room: StripRoom, now: number, timeZone: string): string {
  if (room.stuck !== undefined) return `stuck: ${room.stuck}`;
  if (room.done) return 'no coat to wait for';
  if (room.first === undefined || room.all === undefined) {
    return room.classes.some(({ round }) => round !== undefined) ? 'ready now' : 'ready to sand';
  }
  const all = `all ready ${untilWords(room.all, now, timeZone)}`;
  const goes = room.classes.some(({ at, round }) => at === 0 && round !== undefined);
  if (goes) return `partly ready now, ${all}`;
  return room.first === room.all ? `wet, ${all}` : `wet, first ready ${untilWords(room.first, now, timeZone)}, ${all}`;
}

function Legend() {
  return (
    <ul className="narrow flex gap-4 text-sm text-muted" aria-label="Bars">
      {(
        [
          ['wet', 'wet'],
          ['part', 'partly ready'],
          ['ready', 'ready'],
        ] as const
      ).map(([kind, words]) => (
        <li key={kind} className="flex items-center gap-1.5">
          <span className={`strip-sample strip-${kind}`} aria-hidden="true" /> {words}
        </li>
      ))}
    </ul>
  );
}
