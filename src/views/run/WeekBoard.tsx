'use client';

import { useDraggable, useDroppable } from '@dnd-kit/core';
import { type ReactNode, useState } from 'react';
import { dayAfter, dayOf } from '@/core/measure/dayOf';
import type { PlanPerson } from '@/core/plan/planInput';
import { dayWords, instantWords, spanWords } from '@/words/when';
import type { BoardProps } from './boardProps';
import type { Drying } from './dryingOf';
import { PlanCardBox } from './PlanCardBox';
import type { PlanCard } from './planCards';
import { cardRooms, cardWords } from './planWords';

/** So many days are shown at first. */
const DAYS_SHOWN = 5;
/** Of more people the columns are narrow. */
const MANY = 5;
const DAYS_OF_WEEK = 7;

/** The week at a glance: people across, days down, each cell what somebody runs that day. */
export function WeekBoard(
  props: BoardProps & {
    /** Assigns all that is proposed for these days. */
    readonly takeDays: (days: readonly string[]) => void;
  },
) {
  const { cards, people, days, now, timeZone, done, elsewhere, hours, mayHand, showDay, takeDays } = props;
  const [all, setAll] = useState(false);
  const today = dayOf(now, timeZone);
  const shown = all ? days : days.slice(0, DAYS_SHOWN);
  const isOpen = (day: string) => mayHand && cards.some((card) => card.day === day && card.standing !== 'handed');
  const week = days.filter((day) => day < dayAfter(now, DAYS_OF_WEEK, timeZone) && isOpen(day));
  return (
    <section className="sheet overflow-x-auto p-3 sm:p-4" aria-label="The week">
      <table
        className="table table-fixed"
        style={{ minWidth: `${7 + people.length * (people.length > MANY ? 7 : 10)}rem` }}
      >
        <thead>
          <tr>
            <th scope="col" className="w-32">
              Day
              {week.length > 1 && (
                <button
                  type="button"
                  className="btn btn-xs mt-1 block whitespace-nowrap"
                  onClick={() => takeDays(week)}
                >
                  Confirm week
                </button>
              )}
            </th>
            {people.map((person) => (
              <th key={person.id} scope="col" className="align-top text-base text-base-content">
                {person.name}
                {mayHand && <IllToday person={person} today={today} board={props} />}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((day) => (
            <tr key={day}>
              <th scope="row" className="space-y-1 align-top">
                <button
                  type="button"
                  className="link block min-h-11 text-left font-semibold whitespace-nowrap"
                  onClick={() => showDay(day)}
                >
                  {day === today ? 'Today' : dayWords(day)}
                </button>
                <DryingWords drying={props.drying.get(day)} timeZone={timeZone} />
                {isOpen(day) && (
                  <button
                    type="button"
                    className="btn btn-xs whitespace-nowrap"
                    onClick={() => takeDays([day])}
                    aria-label={`Confirm ${dayWords(day)}`}
                  >
                    Confirm day
                  </button>
                )}
              </th>
              {people.map(({ id, name, off }) => {
                const own = cards.filter((card) => card.day === day && card.people.includes(id));
                return (
                  <Cell key={id} person={id} day={day}>
                    {day === today &&
                      (done[id] ?? []).map((words) => (
                        <p key={words} className="text-sm text-muted">
                          ✓ {words}
                        </p>
                      ))}
                    {own.length === 0 && (
                      <p className="text-sm text-muted">
                        {off.includes(day)
                          ? 'off'
                          : elsewhere.has(`${id} ${day}`)
                            ? `in ${elsewhere.get(`${id} ${day}`)}`
                            : 'free'}
                      </p>
                    )}
                    {own.map((card) => (
                      <Held key={card.key} card={card} name={name} board={props} />
                    ))}
                    {own.length > 0 && (
                      <p className="text-xs text-muted">
                        {spanWords(hours.get(`${id} ${day}`) ?? 0)}
                        {own.some(({ standing }) => standing !== 'handed') && ' with proposed work'}
                      </p>
                    )}
                  </Cell>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {days.length > DAYS_SHOWN && (
        <button type="button" className="btn btn-sm mt-2" onClick={() => setAll(!all)}>
          {all ? 'The next days only' : `All ${days.length} days`}
        </button>
      )}
    </section>
  );
}

/** Not wetting more than dries: what is coated that day beside what can be coated the next morning. */
function DryingWords({ drying, timeZone }: { readonly drying: Drying | undefined; readonly timeZone: string }) {
  if (!drying || drying.coats === 0) return null;
  const all = drying.ready === drying.coats;
  return (
    <p className={`text-xs ${all ? 'text-success' : 'text-warning'}`}>
      {all ? '●' : '■'} {drying.ready} of {drying.coats} coats dry by {instantWords(drying.begins, timeZone)}
    </p>
  );
}

function Cell({
  person,
  day,
  children,
}: {
  readonly person: string;
  readonly day: string;
  readonly children: ReactNode;
}) {
  const { setNodeRef, isOver } = useDroppable({ id: `${person} ${day}`, data: { person, day } });
  return (
    <td ref={setNodeRef} className={`align-top ${isOver ? 'bg-base-300' : ''}`}>
      <div className="flex min-h-10 flex-col gap-1.5">{children}</div>
    </td>
  );
}

/** Offers one press for somebody who is ill today, or back. */
function IllToday({
  person,
  today,
  board: { ill, back },
}: {
  readonly person: PlanPerson;
  readonly today: string;
  readonly board: BoardProps;
}) {
  const isOff = person.off.includes(today);
  return (
    <button
      type="button"
      className="btn btn-ghost btn-xs block font-normal whitespace-nowrap text-muted"
      onClick={() => (isOff ? back(person) : ill(person))}
      aria-label={isOff ? `${person.name} is back today` : `${person.name} is ill today`}
    >
      {isOff ? 'Off today. Back?' : 'Ill today?'}
    </button>
  );
}

/** A card that is dragged by its body, opened by a press, and chosen by its box. */
function Held({ card, name, board }: { readonly card: PlanCard; readonly name: string; readonly board: BoardProps }) {
  const { mayHand, chosen, toggle, open, timeZone, ways } = board;
  const { setNodeRef, listeners, isDragging } = useDraggable({
    // A pair's card stands in two columns.
    id: `${card.key} ${name}`,
    data: { card: card.key },
    disabled: !mayHand,
  });
  return (
    <div className="relative">
      <button
        ref={setNodeRef}
        type="button"
        className={`block w-full touch-pan-y ${isDragging ? 'opacity-40' : ''}`}
        onClick={() => open(card.key)}
        {...(mayHand ? listeners : {})}
      >
        <PlanCardBox
          card={card}
          timeZone={timeZone}
          ways={ways}
          today={dayOf(board.now, timeZone)}
          choosable={mayHand && card.standing !== 'handed'}
        />
      </button>
      {mayHand && card.standing !== 'handed' && (
        <input
          type="checkbox"
          className="checkbox checkbox-sm absolute right-1.5 bottom-1.5"
          aria-label={`Choose ${cardRooms(card)}, ${cardWords(card)} for ${name}`}
          checked={chosen.has(card.key)}
          onChange={() => toggle(card.key)}
        />
      )}
    </div>
  );
}
