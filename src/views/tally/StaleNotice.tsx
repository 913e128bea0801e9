import type { LengthUnit } from '@/core/measure/unit';
import { formatQuickLine } from '@/core/quickline/formatQuickLine';
import type { QuickRoom } from '@/core/room/schema';

/** Somebody saved this room in between: both versions, and the choice between them. */
export function StaleNotice({
  mine,
  theirs,
  unit,
  onMine,
  onTheirs,
}: {
  readonly mine: QuickRoom | undefined;
  readonly theirs: QuickRoom;
  readonly unit: LengthUnit;
  readonly onMine: () => void;
  readonly onTheirs: () => void;
}) {
  return (
    <div role="alert" className="space-y-3 rounded-2xl border-2 border-error p-4">
      <p className="font-semibold">Somebody changed this room after you opened it. Nothing was overwritten.</p>
      <dl className="space-y-2 text-sm">
        <div>
          <dt className="font-semibold">Theirs, as kept</dt>
          <dd className="font-mono">{formatQuickLine(theirs, unit)}</dd>
        </div>
        {mine && (
          <div>
            <dt className="font-semibold">Yours</dt>
            <dd className="font-mono">{formatQuickLine(mine, unit)}</dd>
          </div>
        )}
      </dl>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-primary" onClick={onTheirs}>
          Take theirs
        </button>
        <button type="button" className="btn" onClick={onMine}>
          Keep yours instead
        </button>
      </div>
    </div>
  );
}
