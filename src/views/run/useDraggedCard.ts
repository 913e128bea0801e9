'use client';

import type { Active, DragEndEvent, DragMoveEvent, DragStartEvent } from '@dnd-kit/core';
import { useRef, useState } from 'react';
import type { Handed } from '@/core/plan/planInput';
import type { PlanCard } from './planCards';

/** A card in the hand, over a cell where it is, with what it would cost there. */
interface DraggedCard {
  readonly card: PlanCard;
  readonly over?: string;
  readonly cost?: string;
}

interface Cell {
  readonly person: string;
  readonly day: string;
}

/**
 * A card that is dragged to somebody else or to another day.
 *
 * @param priceOf in words, what it costs there; undefined where that is not known
 */
export function useDraggedCard(
  cards: readonly PlanCard[],
  priceOf: (card: PlanCard, given: Handed) => Promise<string | undefined>,
  move: (card: PlanCard, given: Handed) => void,
) {
  const [dragged, setDragged] = useState<DraggedCard>();
  const place = useRef<string>(undefined);
  const cardOf = ({ data }: Active) => cards.find(({ key }) => key === data.current?.card);
  const end = () => {
    place.current = undefined;
    setDragged(undefined);
  };
  const onDragStart = ({ active }: DragStartEvent) => {
    const card = cardOf(active);
    if (card) setDragged({ card });
  };
  const onDragMove = async ({ active, over }: DragMoveEvent) => {
    const card = cardOf(active);
    const cell = over?.data.current as Cell | undefined;
    const own = cell ? `${cell.person} ${cell.day}` : undefined;
    if (!card || own === place.current) return;
    place.current = own;
    setDragged({ card, ...(own ? { over: own } : {}) });
    if (!cell || !own) return;
    const cost = await priceOf(card, givenAt(card, cell));
    if (cost && place.current === own) setDragged({ card, over: own, cost });
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    // A better plan may have no such card any more.
    const card = cardOf(active) ?? dragged?.card;
    const cell = over?.data.current as Cell | undefined;
    end();
    if (card && cell && !(card.people[0] === cell.person && card.day === cell.day)) move(card, givenAt(card, cell));
  };
  return { dragged, handlers: { onDragStart, onDragMove, onDragEnd, onDragCancel: end } };
}

/** A pair keeps its other one. */
function givenAt({ people }: PlanCard, { person, day }: Cell): Handed {
  const [, second] = people;
  const other = second === undefined ? [] : [people.find((one) => one !== person) ?? second];
  return { people: [person, ...other], day };
}
