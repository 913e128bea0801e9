import { dayOf } from '@/core/measure/dayOf';
import type { CoatedClass, CoatKey, Side } from '@/core/method/coat';
import { SectionGlyph } from '@/ui/section/SectionGlyph';
import { dayWords, leftWords, spanWords, timeOf } from '@/words/when';
import type { PlanCard } from './planCards';
import { cardRooms, cardWords } from './planWords';

const LOOK = {
  handed: 'border-base-content/40 bg-base-100',
  moved: 'border-dashed border-primary bg-base-100',
  proposed: 'border-dashed border-base-content/30 bg-transparent',
} as const;

/** What is said of a card's standing beside its look. */
export const STANDING_WORDS = { handed: 'assigned', moved: 'moved, not assigned', proposed: 'proposed' } as const;

/** From when to when, with the day where that is another one. */
export function timesOf({ start, end, day }: PlanCard, timeZone: string): string {
  const last = dayOf(end, timeZone);
  return `${timeOf(start, timeZone)}–${last === day ? '' : `${dayWords(last)} `}${timeOf(end, timeZone)}`;
}

/** A card: the room, what is run there, when and how long, with the section of its first class. */
export function PlanCardBox({
  card,
  timeZone,
  ways,
  today,
  choosable = false,
}: {
  /** YYYY-MM-DD */
  readonly today: string;
  readonly card: PlanCard;
  /** Whether a box to choose it lies in its corner. */
  readonly choosable?: boolean;
  readonly timeZone: string;
  readonly ways: Readonly<Record<string, string>>;
}) {
  const coat = card.items.flatMap(({ coats }) => coats)[0];
  const [kind, key, side] = coat?.split('.') ?? [];
  return (
    <div className={`rounded-lg border px-2 pt-1.5 text-left ${choosable ? 'pb-8' : 'pb-1.5'} ${LOOK[card.standing]}`}>
      <p className="flex items-start justify-between gap-1 leading-tight font-semibold">
        {cardRooms(card)}
        {kind && (
          <SectionGlyph
            kind={kind as CoatedClass}
            way={ways[card.rooms[0]?.id ?? ''] ?? ''}
            layers={[{ phase: 'planned', key: key as CoatKey, side: side as Side | undefined }]}
            className="h-6 w-13 shrink-0"
          />
        )}
      </p>
      <p className="text-sm leading-tight">{cardWords(card)}</p>
      <p className="text-sm text-muted">
        {timesOf(card, timeZone)}, <span className="whitespace-nowrap">{spanWords(card.hours)}</span>
        {card.people.length > 1 ? ' of two' : ''}
      </p>
      {card.wetBefore && <p className="text-xs text-warning">■ wet until {timeOf(card.start, timeZone)}</p>}
      <p className="text-xs text-muted">
        {STANDING_WORDS[card.standing]}
        {card.leftFrom && <span className="text-warning">{leftFromWords(card.leftFrom, card.day, today)}</span>}
      </p>
    </div>
  );
}

/** Returns for which earlier day a card was assigned: what is done today is left from then. */
const leftFromWords = (leftFrom: string, day: string, today: string): string =>
  day === today ? leftWords({ leftFrom }) : `, for ${dayWords(leftFrom)}`;
