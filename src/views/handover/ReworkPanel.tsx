import { type Rework, reworkBy } from '@/core/inspect/handOver';
import type { OpenItem } from '@/core/log/stateOf';
import { DEFECTS } from '@/core/method/defects';
import { ACCOUNT_WORDS, DEFECT_WORDS } from '@/ui/defectWords';
import { plural } from '@/ui/plural';

/** What mending cost: minutes by what it was and by whose account, and what would have spared the most of them. */
export function ReworkPanel({ items }: { readonly items: readonly OpenItem[] }) {
  if (items.length === 0) return null;
  const byKind = reworkBy(items, ({ defect }) => (defect ? DEFECT_WORDS[defect].name : 'In words only'));
  const byAccount = reworkBy(items, ({ defect }) => (defect ? ACCOUNT_WORDS[DEFECTS[defect].account] : 'not said'));
  const worst = items
    .filter(({ defect }) => defect !== undefined)
    .toSorted((a, b) => (b.closed?.minutes ?? 0) - (a.closed?.minutes ?? 0))[0]?.defect;
  return (
    <section className="sheet space-y-3 p-4" aria-label="What it cost">
      <h2>What it cost</h2>
      <div className="grid gap-6 sm:grid-cols-2">
        <Bars title="By what it was" rows={byKind} />
        <Bars title="By whose account" rows={byAccount} />
      </div>
      {worst && (
        <p className="text-sm text-muted">
          {DEFECT_WORDS[worst].name} comes from: {DEFECT_WORDS[worst].cause}.
        </p>
      )}
    </section>
  );
}

function Bars({ title, rows }: { readonly title: string; readonly rows: readonly Rework[] }) {
  const most = Math.max(1, ...rows.map(({ minutes }) => minutes));
  return (
    <div>
      <h3 className="text-sm font-semibold">{title}</h3>
      <ul className="space-y-1">
        {rows.map(({ key, minutes, count }) => (
          <li key={key} className="grid grid-cols-[9rem_1fr_7rem] items-center gap-2 text-sm">
            <span className="truncate first-letter:uppercase">{key}</span>
            <span
              aria-hidden="true"
              className="h-3 rounded bg-secondary"
              style={{ width: `${(minutes / most) * 100}%` }}
            />
            <span className="text-right text-muted">
              {minutes} min, {plural(count, 'item')}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}
