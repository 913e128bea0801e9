import type { Answer, UnsentGroup } from '@/client/outbox/outbox';
import type { NewEntry } from '@/core/log/entry';
import { CLASS_NAMES, PASS_NAMES } from '@/words/stateWords';
import { Dialog } from '../Dialog';
import { CoatQuestion } from '../entries/CoatQuestion';

/** What waits on this device, and what the server would not have. */
export function UnsentDialog({
  groups,
  others,
  note,
  sendNow,
  drop,
  answer,
  close,
}: {
  readonly groups: readonly UnsentGroup[];
  /** How many are of somebody else who used this device. */
  readonly others: number;
  readonly note: string;
  readonly sendNow: () => void;
  readonly drop: (id: string) => void;
  /** Sends a group again with the answer to what the server asked back. */
  readonly answer: (group: UnsentGroup, answer: Answer) => Promise<boolean>;
  readonly close: () => void;
}) {
  return (
    <Dialog title="Not sent yet" close={close}>
      <p className="text-muted">{note}</p>
      <ul className="divide-y divide-base-300">
        {groups.map((group) => (
          <li key={group.id} className="py-2">
            <p className="font-semibold">{groupWords(group.entries)}</p>
            <p className="text-sm text-muted first-letter:uppercase">{group.entries[0]?.room?.replaceAll('-', ' ')}</p>
            {group.refused !== undefined && group.asks && (
              <CoatQuestion
                question={{ words: group.refused, asks: group.asks, answer: (given) => answer(group, given) }}
                busy={false}
              />
            )}
            {group.refused !== undefined && (
              <div className="mt-1 flex flex-wrap items-center gap-2">
                {!group.asks && (
                  <p role="alert" className="flex-1 text-error">
                    Refused: {group.refused}
                  </p>
                )}
                <button type="button" className="btn btn-sm" onClick={() => drop(group.id)}>
                  Discard
                </button>
              </div>
            )}
          </li>
        ))}
      </ul>
      {others > 0 && (
        <p>{others} more belong to someone else who used this device. They are sent when that person signs in here.</p>
      )}
      <div className="modal-action">
        <button type="button" className="btn" onClick={close}>
          Close
        </button>
        <button type="button" className="btn btn-primary" onClick={sendNow}>
          Send now
        </button>
      </div>
    </Dialog>
  );
}

/** What was said at once, in a few words: Fill of flats, fasteners. */
function groupWords(entries: readonly NewEntry[]): string {
  const coats = entries.flatMap((entry) => (entry.kind === 'coat' ? [entry.payload] : []));
  const [first] = coats;
  const kinds = [...new Set(coats.map((coat) => CLASS_NAMES[coat.class].toLowerCase()))];
  const others = entries.flatMap((entry) => (entry.kind === 'coat' ? [] : [KIND_WORDS[entry.kind]]));
  return [...(first ? [`${PASS_NAMES[first.key]} of ${kinds.join(', ')}`] : []), ...new Set(others)].join(', ');
}

const KIND_WORDS: Readonly<Record<Exclude<NewEntry['kind'], 'coat'>, string>> = {
  sanded: 'Sanded',
  prefilled: 'Pre-filled',
  between: 'Scraped or sanded',
  centered: 'Butts centered',
  sealed: 'Sealed',
  checked: 'Checked',
  handedOver: 'Handed over',
  accepted: 'Accepted or held',
  boards: 'New or same boards',
  assigned: 'Assigned',
  held: 'Held',
  released: 'Released',
  fan: 'A fan',
  touched: 'Touched',
  item: 'Something wrong',
  itemClosed: 'Mended',
  pictured: 'Photos',
  shown: 'Photos to hand over',
  mixed: 'Mixed',
  stock: 'Goods',
  signed: 'Signed',
  void: 'Undone',
};
