import type { useLog } from '@/client/useLog';
import { untilWords } from '@/words/when';
import type { BoardRow } from './boardRows';

/** Shows when boxed butts can be centered; from then on one press logs that they are. */
export function CenterButton({
  row,
  center: { round, from },
  now,
  timeZone,
  busy,
  write,
}: {
  readonly row: Pick<BoardRow, 'id' | 'name'>;
  readonly center: NonNullable<BoardRow['center']>;
  readonly now: number;
  readonly timeZone: string;
} & Pick<ReturnType<typeof useLog>, 'busy' | 'write'>) {
  if (from > now) return <span>Center the butts: {untilWords(from, now, timeZone)}</span>;
  return (
    <button
      type="button"
      className="btn btn-ghost btn-sm -ml-1 px-1 text-muted"
      disabled={busy}
      onClick={() => void write([{ kind: 'centered', room: row.id, payload: { round } }])}
      aria-label={`Log centered butts in ${row.name}`}
    >
      Log centered butts
    </button>
  );
}
