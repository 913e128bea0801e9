'use client';

import {
  DndContext,
  type DragEndEvent,
  type DragMoveEvent,
  DragOverlay,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { useMemo, useRef, useState } from 'react';
import { useCommand } from '@/client/useCommand';
import { useLog } from '@/client/useLog';
import { type Moved, usePlan, withMoves } from '@/client/usePlan';
import { dayOf } from '@/core/measure/dayOf';
import { groupBy } from '@/core/measure/groupBy';
import type { HousePlan } from '@/core/plan/planHouse';
import type { Handed } from '@/core/plan/planInput';
import type { WorkItem } from '@/core/work/workItem';
import { dayAfter } from '@/ui/when';
import { CardDialog } from './CardDialog';
import { CrewDialog } from './CrewDialog';
import { DayBoard } from './DayBoard';
import { type Drying, dryingOf } from './dryingOf';
import { HandOutDialog } from './HandOutDialog';
import { PlanCardBox } from './PlanCardBox';
import { PlanSummary } from './PlanSummary';
import { handings, type PlanCard, planCards } from './planCards';
import { changeWords } from './planWords';
import { Unplanned } from './Unplanned';
import { WeekBoard } from './WeekBoard';
import { WhatIfDialog } from './WhatIfDialog';
import { WhatMoved } from './WhatMoved';

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

/** Who runs what when: people across, days down. What was handed out stands firm, the rest is a proposal until it is taken. */
export function RunBoard({ version, unit, now, timeZone, mayHand, done, ways }: RunBoardProps) {
  const [moves, setMoves] = useState<readonly Moved[]>([]);
  const moved = useMemo<Moved>(() => Object.assign({}, ...moves), [moves]);
  const [together, setTogether] = useState(false);
  const standing = usePlan(version, moved, { together });
  const { ground, input, plan } = standing;
  const log = useLog(now);
  const command = useCommand();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [open, setOpen] = useState<string>();
  const [panel, setPanel] = useState<'crew' | 'whatIf' | 'many'>();
  const [shownDay, setShownDay] = useState<string>();
  const [held, setHeld] = useState<{ readonly card: PlanCard; readonly over?: string; readonly cost?: string }>();
  const heldOver = useRef<string>(undefined);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const cards = useMemo(
    () => (plan && input && ground ? planCards(plan, input, ground, moved) : []),
    [plan, input, ground, moved],
  );

  const people =
    input?.people.filter(({ skills, id }) => skills.length > 0 || cards.some((card) => card.people.includes(id))) ?? [];
  const days = [...new Set([dayOf(now, timeZone), ...cards.map(({ day }) => day)])].sort();
  const comingDays = [
    ...new Set([...Array.from({ length: DAYS_TO_CHOOSE }, (_, index) => dayAfter(now, index, timeZone)), ...days]),
  ].sort();

  const move = (card: PlanCard, given: Handed | null) =>
    setMoves((known) => [...known, Object.fromEntries(card.items.map(({ id }) => [id, given]))]);
  /** Each house's own go there at once, all or none. */
  const write = async (some: readonly { readonly items: readonly WorkItem[]; readonly given: Handed }[]) => {
    if (!ground || !input) return false;
    const all = some.flatMap(({ items, given }) => [...handings(items, given, input, ground.seen)]);
    let done = true;
    for (const [house, own] of groupBy(all, ([of]) => of)) {
      const said = own.flatMap(([, entries]) => entries);
      done = done && (await log.write(said, undefined, house));
    }
    // Of its own house this page hears by itself.
    if (together) standing.fetchAnew();
    return done;
  };
  const take = async (some: readonly PlanCard[]) => {
    const wanted = some.filter(({ standing: is }) => is !== 'handed');
    if (wanted.length === 0 || !(await write(wanted.map((card) => ({ items: card.items, given: card }))))) return;
    const taken = new Set(wanted.flatMap(({ items }) => items.map(({ id }) => id)));
    setMoves((known) =>
      known.map((one) => Object.fromEntries(Object.entries(one).filter(([item]) => !taken.has(item)))),
    );
    setChosen(new Set());
  };
  const handOut = async (items: readonly WorkItem[], given: Handed) => {
    if (await write([{ items, given }])) setPanel(undefined);
  };
  const letGo = async ({ items, day }: PlanCard) => {
    if (await write([{ items, given: { people: [], day } }])) setOpen(undefined);
  };
  const givenAt = (card: PlanCard, person: string, day: string): Handed => {
    const [, second] = card.people;
    // A pair keeps its other one.
    const other = second === undefined ? [] : [card.people.find((one) => one !== person) ?? second];
    return { people: [person, ...other], day };
  };
  const takeSaturdays = async () => {
    if (!ground) return;
    const crew = { ...ground.crew, weekdays: [...ground.crew.weekdays, 6] };
    if (await command.run('saveCrew', { version: ground.crewVersion, crew })) {
      standing.fetchAnew();
      setPanel(undefined);
    }
  };
  const priceOf = async (changed: Moved): Promise<HousePlan | undefined> =>
    ground ? standing.price(withMoves(ground.input, { ...moved, ...changed })) : undefined;

  const dragged = async ({ active, over }: DragMoveEvent) => {
    const card = cards.find(({ key }) => key === active.id);
    const target = over?.data.current as { person: string; day: string } | undefined;
    const place = target ? `${target.person} ${target.day}` : undefined;
    if (!card || place === heldOver.current) return;
    heldOver.current = place;
    setHeld({ card, ...(place ? { over: place } : {}) });
    if (!target || !plan) return;
    const given = givenAt(card, target.person, target.day);
    const found = await priceOf(Object.fromEntries(card.items.map(({ id }) => [id, given])));
    if (found && heldOver.current === place) setHeld({ card, over: place ?? '', cost: costWords(found, plan, card) });
  };
  const dropped = ({ active, over }: DragEndEvent) => {
    const card = cards.find(({ key }) => key === active.id);
    const target = over?.data.current as { person: string; day: string } | undefined;
    setHeld(undefined);
    heldOver.current = undefined;
    if (card && target && !(card.people[0] === target.person && card.day === target.day))
      move(card, givenAt(card, target.person, target.day));
  };
  const opened = cards.find(({ key }) => key === open);
  const toggle = (key: string) =>
    setChosen((known) => {
      const next = new Set(known);
      if (!next.delete(key)) next.add(key);
      return next;
    });
  const drying = useMemo(() => (plan && input ? dryingOf(plan, input) : new Map<string, Drying>()), [plan, input]);
  const board = { cards, drying, people, days, now, timeZone, ways, done, mayHand, chosen, toggle, open: setOpen };

  return (
    <div className="space-y-4 print:hidden">
      <PlanSummary
        standing={standing}
        cards={cards}
        moves={moves.length}
        mayHand={mayHand}
        chosen={chosen.size}
        busy={log.busy}
        undo={() => setMoves((known) => known.slice(0, -1))}
        takeAll={() => void take(cards)}
        takeChosen={() => void take(cards.filter(({ key }) => chosen.has(key)))}
        show={setPanel}
        together={together}
        setTogether={(all) => {
          setMoves([]);
          setTogether(all);
        }}
      />
      {log.message && (
        <p role="alert" className="text-error">
          {log.message}
        </p>
      )}
      {input && plan && (
        <DndContext
          sensors={sensors}
          onDragStart={({ active }) => {
            const card = cards.find(({ key }) => key === active.id);
            if (card) setHeld({ card });
          }}
          onDragMove={(event) => void dragged(event)}
          onDragEnd={dropped}
          onDragCancel={() => setHeld(undefined)}
        >
          {shownDay === undefined ? (
            <WeekBoard
              {...board}
              showDay={setShownDay}
              takeDay={(day) => void take(cards.filter((card) => card.day === day))}
            />
          ) : (
            <DayBoard {...board} day={shownDay} showDay={setShownDay} />
          )}
          <DragOverlay dropAnimation={null}>
            {held && (
              <div className="w-56 rotate-1">
                <PlanCardBox card={held.card} timeZone={timeZone} ways={ways} />
                {held.over && (
                  <p className="mt-1 rounded-md bg-neutral px-2 py-1 text-sm text-neutral-content">
                    {held.cost ?? '…'}
                  </p>
                )}
              </div>
            )}
          </DragOverlay>
        </DndContext>
      )}
      {input && plan && <Unplanned plan={plan} input={input} />}
      {input && plan && !standing.searching && standing.before && (
        <WhatMoved before={standing.before} plan={plan} input={input} />
      )}
      {opened && input && ground && plan && (
        <CardDialog
          card={opened}
          input={input}
          plan={plan}
          days={comingDays}
          unit={unit}
          mayHand={mayHand}
          busy={log.busy}
          price={priceOf}
          costWords={costWords}
          move={(given) => {
            move(opened, given);
            setOpen(undefined);
          }}
          take={() => void take([opened]).then(() => setOpen(undefined))}
          letGo={() => void letGo(opened)}
          close={() => setOpen(undefined)}
        />
      )}
      {panel === 'crew' && ground && input && (
        <CrewDialog ground={ground} unit={unit} close={() => setPanel(undefined)} changed={standing.fetchAnew} />
      )}
      {panel === 'whatIf' && input && plan && (
        <WhatIfDialog
          input={input}
          plan={plan}
          busy={command.busy}
          message={command.message}
          takeSaturdays={() => void takeSaturdays()}
          close={() => setPanel(undefined)}
        />
      )}
      {panel === 'many' && input && (
        <HandOutDialog
          input={input}
          days={comingDays}
          busy={log.busy}
          message={log.message}
          put={(items, given) => {
            setMoves((known) => [...known, Object.fromEntries(items.map(({ id }) => [id, given]))]);
            setPanel(undefined);
          }}
          hand={(items, given) => void handOut(items, given)}
          close={() => setPanel(undefined)}
        />
      )}
    </div>
  );
}

/** What a move costs: the finish, and when the card would begin there. */
function costWords(found: HousePlan, before: HousePlan, card: PlanCard): string {
  const own = found.assignments.filter(({ item }) => card.items.some(({ id }) => id === item));
  if (own.length < card.items.length) return 'cannot be run there';
  return changeWords(before.finish, found.finish);
}
