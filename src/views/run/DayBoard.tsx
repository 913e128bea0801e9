'use client';

import { dayWords, timeOf } from '@/words/when';
import type { BoardProps } from './boardProps';
import type { PlanCard } from './planCards';
import { cardRooms, cardWords } from './planWords';

const HOUR_MS = 3_600_000;

/** One day by the hour: a row for each person, every job where it begins and as long as it takes that day. */
export function DayBoard({ cards, people, days, day, timeZone, showDay, open }: BoardProps & { readonly day: string }) {
  const own = cards.filter((card) => card.day === day);
  const begins = own.length > 0 ? Math.min(...own.map(({ start }) => start)) : 0;
  const ends = Math.max(begins + HOUR_MS, ...own.map(({ end }) => Math.min(end, begins + 10 * HOUR_MS)));
  const hours = Math.max(1, Math.ceil((ends - begins) / HOUR_MS));
  const place = days.indexOf(day);
  const left = (at: number) => `${(100 * Math.max(0, at - begins)) / (hours * HOUR_MS)}%`;
  return (
    <section className="sheet overflow-x-auto p-3 sm:p-4" aria-label={`${dayWords(day)} by the hour`}>
      <div className="mb-3 flex flex-wrap items-center gap-2">
        <button type="button" className="btn btn-sm" onClick={() => showDay(undefined)}>
          The week
        </button>
        <button type="button" className="btn btn-sm" disabled={place <= 0} onClick={() => showDay(days[place - 1])}>
          Day before
        </button>
        <h2 className="mx-2">{dayWords(day)}</h2>
        <button
          type="button"
          className="btn btn-sm"
          disabled={place >= days.length - 1}
          onClick={() => showDay(days[place + 1])}
        >
          Next day
        </button>
      </div>
      {own.length === 0 && <p className="text-muted">Nothing is planned for this day.</p>}
      <div className="min-w-[56rem] space-y-2">
        <div className="relative ml-24 h-5 text-xs text-muted" aria-hidden="true">
          {Array.from({ length: hours }, (_, hour) => (
            <span key={hour} className="absolute" style={{ left: left(begins + hour * HOUR_MS) }}>
              {timeOf(begins + hour * HOUR_MS, timeZone)}
            </span>
          ))}
        </div>
        {people.map(({ id, name }) => (
          <div key={id} className="flex items-stretch">
            <h3 className="w-24 shrink-0 self-center font-semibold">{name}</h3>
            <ul className="relative h-16 flex-1 rounded-lg bg-base-200">
              {own
                .filter(({ people: by }) => by.includes(id))
                .map((card) => (
                  <li
                    key={card.key}
                    className="absolute inset-y-0 overflow-hidden p-0.5"
                    style={{
                      left: left(card.start),
                      width: `calc(${left(begins + Math.min(card.end, ends) - card.start)})`,
                    }}
                  >
                    <Block card={card} open={open} timeZone={timeZone} />
                  </li>
                ))}
            </ul>
          </div>
        ))}
      </div>
    </section>
  );
}

function Block({
  card,
  open,
  timeZone,
}: {
  readonly card: PlanCard;
  readonly open: BoardProps['open'];
  readonly timeZone: string;
}) {
  const words = `${cardRooms(card)}, ${cardWords(card)}, ${timeOf(card.start, timeZone)} to ${timeOf(card.end, timeZone)}`;
  return (
    <button
      type="button"
      title={words}
      aria-label={words}
      className={`h-full w-full overflow-hidden rounded-md border px-1 text-left text-xs leading-tight ${card.standing === 'handed' ? 'border-base-content/40 bg-base-100' : 'border-dashed border-base-content/30 bg-base-100/60'}`}
      onClick={() => open(card.key)}
    >
      <span className="block truncate font-semibold">{cardRooms(card)}</span>
      <span className="block truncate">{cardWords(card)}</span>
      <span className="block truncate text-muted">{timeOf(card.start, timeZone)}</span>
    </button>
  );
}
