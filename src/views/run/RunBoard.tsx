'use client';

import { DndContext, DragOverlay, MouseSensor, TouchSensor, useSensor, useSensors } from '@dnd-kit/core';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { useCommand } from '@/client/useCommand';
import type { Said } from '@/client/useLog';
import { type Moved, usePlan, withMoves } from '@/client/usePlan';
import { FAN_SPEED } from '@/core/air/fan';
import { dayAfter, dayOf } from '@/core/measure/dayOf';
import { housePart } from '@/core/plan/housePart';
import type { Handed, PlanPerson } from '@/core/plan/planInput';
import { plannedHours } from '@/core/plan/plannedHours';
import type { WhatIfPrice } from '@/core/plan/whatIfPrice';
import type { WorkItem } from '@/core/work/workItem';
import { Opening } from '@/ui/Opening';

import { DayBoard } from './DayBoard';
import { type Drying, dryingOf } from './dryingOf';
import { NobodyCan } from './NobodyCan';
import { costWords, elsewhereOn } from './otherHouses';
import { PlanCardBox } from './PlanCardBox';
import { PlanSummary } from './PlanSummary';
import { type PlanCard, planCards } from './planCards';
import { cardRooms } from './planWords';

import { Unplanned } from './Unplanned';
import { useDraggedCard } from './useDraggedCard';
import { useHandOut } from './useHandOut';
import { useIll } from './useIll';
import { WeekBoard } from './WeekBoard';
import { WhatMoved } from './WhatMoved';

// What is opened now and then is fetched then.
const CardDialog = lazy(async () => ({ default: (await import('./CardDialog')).CardDialog }));
const HandOutDialog = lazy(async () => ({ default: (await import('./HandOutDialog')).HandOutDialog }));
const CrewDialog = lazy(async () => ({ default: (await import('./CrewDialog')).CrewDialog }));
const IllDialog = lazy(async () => ({ default: (await import('./IllDialog')).IllDialog }));
const WhatIfDialog = lazy(async () => ({ default: (await import('./WhatIfDialog')).WhatIfDialog }));

export interface RunBoardProps {
  /** Of what the page shows: another one is fetched anew. */
  readonly version: string;
  readonly unit: 'in' | 'mm';
  readonly now: number;
  readonly timeZone: string;
  readonly mayHand: boolean;
  /** What of today is done already, by person. */
  readonly done: Readonly<Record<string, readonly string[]>>;
  /** What the glyphs of a room are told by. */
  readonly ways: Readonly<Record<string, string>>;
}

/** Work can be given for so many days ahead, and for those of the plan. */
const DAYS_TO_CHOOSE = 14;
const SATURDAY = 6;
const BY_KEYS = { draggable: 'Press a card to move it by keys.' };

/** Who runs what when: people across, days down. What was handed out stands firm, the rest is a proposal until it is taken. */
export function RunBoard({ version, unit, now, timeZone, mayHand, done, ways }: RunBoardProps) {
  const [moves, setMoves] = useState<readonly Moved[]>([]);
  const moved = useMemo<Moved>(() => Object.assign({}, ...moves), [moves]);
  const [together, setTogether] = useState(false);
  const { id: house } = useHouse();
  const only = together ? undefined : house;
  const standing = usePlan(version, moved, true);
  const { ground, input, plan } = standing;
  const shown = useMemo(
    () => (plan && input ? (only === undefined ? { plan, input } : housePart({ plan, input }, only)) : undefined),
    [plan, input, only],
  );
  const handOut = useHandOut(standing, now);
  const command = useCommand();
  const ill = useIll(standing, handOut, now, timeZone);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  // A better plan may have no such card any more: what was opened stays open.
  const [open, setOpen] = useState<PlanCard>();
  const [panel, setPanel] = useState<'crew' | 'whatIf' | 'many'>();
  const [shownDay, setShownDay] = useState<string>();
  const cards = useMemo(
    () => (plan && input && ground ? planCards(plan, input, ground, moved, only) : []),
    [plan, input, ground, moved, only],
  );
  // Of its own house nobody has to be told in which house a room is.
  const namedInput = useMemo(
    () =>
      input && {
        ...input,
        rooms: input.rooms.map((room) => (room.house === only ? { ...room, name: room.nameInHouse } : room)),
      },
    [input, only],
  );
  const drying = useMemo(() => (shown ? dryingOf(shown.plan, shown.input) : new Map<string, Drying>()), [shown]);
  const hours = useMemo(() => (shown ? plannedHours(shown) : new Map<string, number>()), [shown]);
  const elsewhere = useMemo(
    () => (plan && input ? elsewhereOn(plan, input, only) : new Map<string, string>()),
    [plan, input, only],
  );

  const move = (items: readonly WorkItem[], given: Handed) =>
    setMoves((known) => [...known, Object.fromEntries(items.map(({ id }) => [id, given]))]);
  const priceOf = async (items: readonly WorkItem[], given: Handed): Promise<string | undefined> => {
    if (!ground || !plan || !input) return undefined;
    const there = Object.fromEntries(items.map(({ id }) => [id, given]));
    const tried = withMoves(ground.input, { ...moved, ...there });
    const found = await standing.price(tried);
    return found && costWords({ plan: found, input: tried }, { plan, input }, items, only);
  };
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    // A finger that passes scrolls, one that rests takes the card up.
    useSensor(TouchSensor, { activationConstraint: { delay: 250, tolerance: 8 } }),
  );
  const { dragged, handlers } = useDraggedCard(
    cards,
    (card, given) => priceOf(card.items, given),
    (card, given) => move(card.items, given),
  );

  /** What was written down is moved no more: it is where it was put. */
  const settle = (items: readonly WorkItem[]) => {
    const written = new Set(items.map(({ id }) => id));
    setMoves((known) =>
      known.map((one) => Object.fromEntries(Object.entries(one).filter(([item]) => !written.has(item)))),
    );
  };
  const take = async (some: readonly PlanCard[]) => {
    const wanted = some.filter(({ standing: is }) => is !== 'handed');
    if (wanted.length === 0) return;
    if (!(await handOut.write(wanted.map((card) => ({ items: card.items, given: card }))))) return;
    settle(wanted.flatMap(({ items }) => items));
    setChosen(new Set());
  };
  const give = async (items: readonly WorkItem[], given: Handed) => {
    if (!(await handOut.write([{ items, given }]))) return;
    settle(items);
    setPanel(undefined);
    setOpen(undefined);
  };
  const takeWhatIf = async ({ kind, rooms }: WhatIfPrice) => {
    if (!ground?.lead) return;
    const { crew: known, crewVersion: version } = ground.lead;
    const crew = { ...known, weekdays: [...known.weekdays, SATURDAY] };
    const done =
      kind === 'saturday'
        ? await command.run('saveCrew', { version, crew })
        : await handOut.sayOf(
            rooms,
            (room): Said =>
              kind === 'fan'
                ? { kind: 'fan', room, payload: { speed: FAN_SPEED } }
                : { kind: 'released', room, payload: {} },
          );
    if (!done) return;
    standing.fetchAnew();
    setPanel(undefined);
  };
  const openCard = (key: string) => setOpen(cards.find((card) => card.key === key));
  const toggle = (key: string) =>
    setChosen((known) => {
      const next = new Set(known);
      if (!next.delete(key)) next.add(key);
      return next;
    });

  const people =
    input?.people.filter(({ skills, id }) => skills.length > 0 || cards.some((card) => card.people.includes(id))) ?? [];
  const days = [...new Set([dayOf(now, timeZone), ...cards.map(({ day }) => day)])].sort();
  const coming = Array.from({ length: DAYS_TO_CHOOSE }, (_, index) => dayAfter(now, index, timeZone));
  const daysToChoose = [...new Set([...coming, ...days])].sort();
  // What is held and nobody knows how long is handed out card by card only.
  const takeable = cards.filter(
    (card) => card.standing !== 'handed' && !card.rooms.some(({ id }) => plan?.last.includes(id)),
  );
  const opened = cards.find(({ key }) => key === open?.key) ?? open;
  const board = {
    cards,
    drying,
    people,
    days,
    now,
    timeZone,
    ways,
    done,
    elsewhere,
    hours,
    mayHand,
    chosen,
    toggle,
    open: openCard,
    ill: ill.ask,
    back: (person: PlanPerson) => void ill.back(person),
  };
  return (
    <div className="space-y-4 print:hidden">
      <PlanSummary
        standing={standing}
        shown={shown}
        unit={unit}
        moves={moves.length}
        mayHand={mayHand}
        chosen={chosen.size}
        busy={handOut.busy}
        undo={() => setMoves((known) => known.slice(0, -1))}
        open={takeable.length}
        takeAll={() => void take(takeable)}
        takeChosen={() => void take(cards.filter(({ key }) => chosen.has(key)))}
        show={setPanel}
        together={together}
        setTogether={setTogether}
      />
      {ill.message && (
        <p role="alert" className="text-error">
          {ill.message}
        </p>
      )}
      {shown && (
        <NobodyCan {...shown} added={standing.fetchAnew} showCrew={mayHand ? () => setPanel('crew') : undefined} />
      )}
      {input && plan && (
        <DndContext sensors={sensors} accessibility={{ screenReaderInstructions: BY_KEYS }} {...handlers}>
          {shownDay === undefined ? (
            <WeekBoard
              {...board}
              showDay={setShownDay}
              takeDays={(some) => void take(cards.filter((card) => some.includes(card.day)))}
            />
          ) : (
            <DayBoard {...board} day={shownDay} showDay={setShownDay} />
          )}
          <DragOverlay dropAnimation={null}>
            {dragged && (
              <div className="w-56 rotate-1" role="img" aria-label={`${cardRooms(dragged.card)} in the hand`}>
                <PlanCardBox card={dragged.card} timeZone={timeZone} ways={ways} today={dayOf(now, timeZone)} />
                {dragged.over && (
                  <p className="mt-1 rounded-md bg-neutral px-2 py-1 text-sm text-neutral-content">
                    {dragged.cost ?? '…'}
                  </p>
                )}
              </div>
            )}
          </DragOverlay>
        </DndContext>
      )}
      {shown && <Unplanned {...shown} />}
      {input && plan && !standing.searching && standing.before && (
        <WhatMoved before={standing.before} {...(shown ?? { plan, input })} />
      )}
      <Suspense fallback={<Opening />}>
        {opened && namedInput && plan && (
          <CardDialog
            card={opened}
            input={namedInput}
            plan={plan}
            days={daysToChoose}
            unit={unit}
            mayHand={mayHand}
            busy={handOut.busy}
            priceOf={priceOf}
            move={(items, given) => {
              move(items, given);
              setOpen(undefined);
            }}
            hand={(items, given) => void give(items, given)}
            close={() => setOpen(undefined)}
          />
        )}
        {panel === 'many' && shown && (
          <HandOutDialog
            input={shown.input}
            days={daysToChoose}
            busy={handOut.busy}
            message={handOut.message}
            put={(items, given) => {
              move(items, given);
              setPanel(undefined);
            }}
            hand={(items, given) => void give(items, given)}
            close={() => setPanel(undefined)}
          />
        )}
        {ill.person && namedInput && plan && (
          <IllDialog
            person={ill.person}
            days={ill.days}
            input={namedInput}
            plan={plan}
            planFor={standing.replan}
            busy={ill.busy}
            message={ill.message}
            confirm={(shared) => void ill.confirm(shared)}
            close={() => ill.ask(undefined)}
          />
        )}
        {panel === 'crew' && ground?.lead && (
          <CrewDialog
            input={ground.input}
            lead={ground.lead}
            unit={unit}
            close={() => setPanel(undefined)}
            changed={standing.fetchAnew}
          />
        )}
        {panel === 'whatIf' && input && plan && (
          <WhatIfDialog
            input={input}
            plan={plan}
            only={only}
            hourCost={ground?.lead?.crew.hourCost}
            busy={command.busy || handOut.busy}
            message={command.message ?? handOut.message}
            take={(price) => void takeWhatIf(price)}
            close={() => setPanel(undefined)}
          />
        )}
      </Suspense>
    </div>
  );
}
