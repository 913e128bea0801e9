import { smoothing } from '@/core/cost/smoothing';
import { accountOf, causeOf } from '@/core/inspect/causeOf';
import { type Rework, reworkBy } from '@/core/inspect/handOver';
import type { OpenItem } from '@/core/log/roomState';
import type { RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { ACCOUNT_WORDS, DEFECT_WORDS } from '@/words/defectWords';
import { plural } from '@/words/plural';
import { CLASS_NAMES, PASS_NAMES } from '@/words/stateWords';
import { spanWords } from '@/words/when';

/** What mending cost: minutes by what it was and by whose account, and what would have spared the most of them. */
export function ReworkPanel({
  rooms,
  nameOf,
}: {
  readonly rooms: readonly RoomSnapshot[];
  /** Of a person. */
  readonly nameOf: (id: string) => string;
}) {
  const items = rooms.flatMap(({ state }) => state.items);
  const { between, sanding, share } = smoothing(rooms);
  const classes = new Map(rooms.flatMap(({ pieces }) => pieces.map((piece) => [piece.id, piece.class] as const)));
  const byKind = reworkBy(items, ({ defect }) => (defect ? DEFECT_WORDS[defect].name : 'In words only'));
  const byAccount = reworkBy(items, (item) => {
    const account = accountOf(item);
    return account ? ACCOUNT_WORDS[account] : 'not said';
  });
  const causes = new Map(rooms.flatMap((room) => room.state.items.map((item) => [item, causeOf(item, room)] as const)));
  const coatOf = (item: OpenItem) => causes.get(item)?.coat;
  const byCoat = reworkBy(
    items.filter((item) => coatOf(item)),
    (item) =>
      `${PASS_NAMES[coatOf(item)?.payload.key ?? 'tape']} of ${CLASS_NAMES[coatOf(item)?.payload.class ?? 'flat'].toLowerCase()}`,
  );
  const byPerson = reworkBy(
    items.filter((item) => coatOf(item)),
    (item) => causes.get(item)?.who.map(nameOf).join(' and ') ?? '',
  );
  const worst = items
    .filter(({ defect }) => defect !== undefined)
    .toSorted((a, b) => (b.closed?.minutes ?? 0) - (a.closed?.minutes ?? 0))[0]?.defect;
  const byClass = reworkBy(items, ({ piece }) => {
    const kind = piece === undefined ? undefined : classes.get(piece);
    return kind ? CLASS_NAMES[kind] : 'on no joint';
  });
  return (
    <section className="sheet space-y-3 p-4" aria-label="Cost of repairs">
      <h2>What it cost</h2>
      {items.length === 0 && <p className="text-muted">No repairs.</p>}
      <div className="grid gap-6 sm:grid-cols-2">
        {byKind.length > 0 && <Bars title="By problem" rows={byKind} />}
        {byAccount.length > 0 && <Bars title="By who pays" rows={byAccount} />}
        {byClass.length > 0 && <Bars title="By joint" rows={byClass} />}
        {byCoat.length > 0 && <Bars title="By coat" rows={byCoat} />}
        {byPerson.length > 0 && <Bars title="By finisher (only leads see this)" rows={byPerson} />}
      </div>
      {sanding > 0 && (
        <p>
          Sanding takes {spanWords(sanding)}, {Math.round(share * 100)} % of all work
          {between > 0 ? `; making each coat clean before the next one takes ${spanWords(between)}` : ''}. What is wiped
          clean is not sanded.
        </p>
      )}
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
