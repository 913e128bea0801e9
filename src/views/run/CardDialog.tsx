'use client';

import { useEffect, useState } from 'react';
import type { HousePlan } from '@/core/plan/planHouse';
import type { Handed, PlanInput } from '@/core/plan/planInput';
import type { Block } from '@/core/work/block';
import { itemsIn } from '@/core/work/splitItems';
import type { WorkItem } from '@/core/work/workItem';
import { Dialog } from '@/ui/Dialog';
import { dayWords, spanWords, timeOf } from '@/words/when';
import { STANDING_WORDS } from './PlanCardBox';
import type { PlanCard } from './planCards';
import { cardRooms, cardWords, toolWords, whoWords, whyOf } from './planWords';
import { Where, WhoAndWhen } from './WhoAndWhen';

/** One card: what it is, why it stands where it stands, who else or when else could run it and what that costs. */
export function CardDialog({
  card,
  input,
  plan,
  days,
  unit,
  mayHand,
  busy,
  priceOf,
  move,
  hand,
  close,
}: {
  readonly card: PlanCard;
  readonly input: PlanInput;
  readonly plan: HousePlan;
  readonly days: readonly string[];
  readonly unit: 'in' | 'mm';
  readonly mayHand: boolean;
  readonly busy: boolean;
  /** In words, what it would cost to give it so. */
  readonly priceOf: (items: readonly WorkItem[], given: Handed) => Promise<string | undefined>;
  readonly move: (items: readonly WorkItem[], given: Handed) => void;
  /** Hands it out, or to nobody any more. */
  readonly hand: (items: readonly WorkItem[], given: Handed) => void;
  readonly close: () => void;
}) {
  const [given, setGiven] = useState<Handed>({ people: card.people, day: card.day });
  const [block, setBlock] = useState<Block>();
  const [cost, setCost] = useState<string>();
  const items = block ? itemsIn(card.items, block) : card.items;
  const key = JSON.stringify({ given, block });
  const isMoved = JSON.stringify(given) !== JSON.stringify({ people: card.people, day: card.day });

  // biome-ignore lint/correctness/useExhaustiveDependencies: the key says what is asked
  useEffect(() => {
    setCost(undefined);
    if (!isMoved) return;
    let gone = false;
    void priceOf(items, given).then((found) => {
      if (!gone && found) setCost(found);
    });
    return () => {
      gone = true;
    };
  }, [key, isMoved]);

  const [first] = given.people;
  const skills = input.people.find(({ id }) => id === first)?.skills ?? [];
  const unable = first !== undefined && items.some(({ skill }) => !skills.includes(skill)) ? [first] : [];
  const tools = [...new Set(card.items.flatMap(({ tool }) => (tool ? [toolWords(tool, unit)] : [])))];
  const someDays = [...new Set([...days, card.day])].sort();
  return (
    <Dialog title={`${cardRooms(card)}, ${cardWords(card)}`} close={close}>
      <p>
        {whoWords(card.people, input)}, {dayWords(card.day)}, {timeOf(card.start, input.timeZone)} to{' '}
        {timeOf(card.end, input.timeZone)}: {spanWords(card.hours)} of work
        {tools.length > 0 ? `, with the ${tools.join(' and the ')}` : ''}; {STANDING_WORDS[card.standing]}.
      </p>
      {card.rooms.length > 1 && (
        <ol className="list-inside list-decimal">
          {card.rooms.map(({ id, name }) => (
            <li key={id}>
              {name}: {cardWords({ items: card.items.filter(({ room }) => room === id) })}
            </li>
          ))}
        </ol>
      )}
      <p className="text-muted">
        {whyOf(card, input, card.items[0])}{' '}
        {plan.chain.some((id) => card.items.some((item) => item.id === id)) && 'On the critical path.'}
      </p>
      {mayHand && card.items.some(({ blocks }) => blocks) && <Where value={block} change={setBlock} />}
      {mayHand && <WhoAndWhen given={given} people={input.people} days={someDays} change={setGiven} />}
      {isMoved && (
        <p aria-live="polite" className="font-semibold">
          {cost ?? 'Working out what that costs…'}
        </p>
      )}
      {unable.length > 0 && (
        <p role="alert" className="text-warning">
          {whoWords(unable, input)} does not have this skill in the crew’s settings. You can assign it anyway.
        </p>
      )}
      <div className="modal-action flex-wrap">
        <button type="button" className="btn" onClick={close}>
          Close
        </button>
        {mayHand && card.standing === 'handed' && (
          <button
            type="button"
            className="btn"
            disabled={busy}
            onClick={() => hand(items, { people: [], day: card.day })}
          >
            Unassign
          </button>
        )}
        {mayHand && isMoved && (
          <button type="button" className="btn btn-primary" onClick={() => move(items, given)}>
            Move job
          </button>
        )}
        {mayHand && !isMoved && card.standing !== 'handed' && (
          <button type="button" className="btn btn-primary" disabled={busy} onClick={() => hand(items, given)}>
            Assign job
          </button>
        )}
      </div>
    </Dialog>
  );
}
