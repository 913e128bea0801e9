'use client';

import { useState } from 'react';
import type { Handed, PlanInput } from '@/core/plan/planInput';
import { teamHours } from '@/core/plan/teamHours';
import type { Block } from '@/core/work/block';
import { PASSES } from '@/core/work/pass';
import { scrapingIn } from '@/core/work/scrapeApart';
import { itemsIn } from '@/core/work/splitItems';
import type { WorkItem } from '@/core/work/workItem';
import { Dialog } from '@/ui/Dialog';
import { SelectField } from '@/ui/SelectField';
import { PASS_NAMES } from '@/words/stateWords';
import { spanWords } from '@/words/when';
import { cardWords } from './planWords';
import { Where, WhoAndWhen } from './WhoAndWhen';

/** One gesture for much: one kind of work in several rooms goes to one or two people. */
export function HandOutDialog({
  input,
  days,
  busy,
  message,
  put,
  hand,
  close,
}: {
  readonly input: PlanInput;
  readonly days: readonly string[];
  readonly busy: boolean;
  readonly message: string | undefined;
  /** Puts it on the board, to see what becomes of the plan. */
  readonly put: (items: readonly WorkItem[], given: Handed) => void;
  /** Hands it out at once. */
  readonly hand: (items: readonly WorkItem[], given: Handed) => void;
  readonly close: () => void;
}) {
  const kinds = kindsOf(input.items);
  const [kind, setKind] = useState(kinds[0]?.key ?? '');
  const [out, setOut] = useState<ReadonlySet<string>>(new Set());
  const [given, setGiven] = useState<Handed>({ people: [input.people[0]?.id ?? ''], day: days[0] ?? '' });
  const [block, setBlock] = useState<Block>();
  const found = kinds.find(({ key }) => key === kind);
  const own = found && { ...found, items: block ? itemsIn(found.items, block) : found.items };
  const rooms = input.rooms.filter(({ id }) => own?.items.some(({ room }) => room === id));
  const floors = [...new Set(rooms.map(({ floor }) => floor))];
  const items = own?.items.filter(({ room }) => !out.has(room)) ?? [];
  const { people } = given;
  const team = input.people.filter(({ id }) => people.includes(id));
  const isPaced = team.some(({ pace }) => items.some(({ rate }) => pace[rate] !== undefined));
  const hours = teamHours(items, team.length > 0 ? team : [{ pace: {} }]);
  const isEmpty = items.length === 0 || people[0] === '' || given.day === '';
  return (
    <Dialog title="Assign several" close={close}>
      <SelectField
        label="Work"
        options={kinds.map(({ key, words }) => [key, words] as const)}
        value={kind}
        onChange={(event) => {
          setKind(event.target.value);
          setBlock(undefined);
        }}
      />
      {found?.items.some(({ blocks, block: only }) => blocks || only) && <Where value={block} change={setBlock} />}
      <fieldset className="max-h-60 overflow-y-auto rounded-lg border border-base-300 p-3">
        <legend className="px-1 font-semibold">Rooms</legend>
        {floors.length > 1 && (
          <div className="mb-2 flex flex-wrap gap-2">
            {floors.map((floor) => (
              <button
                key={floor}
                type="button"
                className="btn btn-xs"
                onClick={() => setOut(new Set(rooms.filter((room) => room.floor !== floor).map(({ id }) => id)))}
              >
                Only {floor}
              </button>
            ))}
            <button type="button" className="btn btn-xs" onClick={() => setOut(new Set())}>
              All
            </button>
            <button type="button" className="btn btn-xs" onClick={() => setOut(new Set(rooms.map(({ id }) => id)))}>
              None
            </button>
          </div>
        )}
        <div className="grid gap-1 sm:grid-cols-2">
          {rooms.map(({ id, name }) => (
            <label key={id} className="flex min-h-9 items-center gap-2">
              <input
                type="checkbox"
                className="checkbox checkbox-sm"
                checked={!out.has(id)}
                onChange={() =>
                  setOut((known) => {
                    const next = new Set(known);
                    if (!next.delete(id)) next.add(id);
                    return next;
                  })
                }
              />
              {name}
            </label>
          ))}
        </div>
      </fieldset>
      <WhoAndWhen given={given} people={input.people} days={days} change={setGiven} />
      <p aria-live="polite">
        {items.length === 0
          ? 'No room is chosen.'
          : `${spanWords(hours)} for ${people.length === 2 ? 'both' : 'one'} by ${isPaced ? 'their own pace' : 'the usual rates'}, in ${new Set(items.map(({ room }) => room)).size} rooms.`}
      </p>
      {message && (
        <p role="alert" className="text-error">
          {message}
        </p>
      )}
      <div className="modal-action">
        <button type="button" className="btn" onClick={close}>
          Cancel
        </button>
        <button type="button" className="btn" disabled={isEmpty} onClick={() => put(items, given)}>
          Put on the board
        </button>
        <button type="button" className="btn btn-primary" disabled={isEmpty || busy} onClick={() => hand(items, given)}>
          Assign jobs
        </button>
      </div>
    </Dialog>
  );
}

interface Kind {
  readonly key: string;
  readonly words: string;
  readonly items: readonly WorkItem[];
}

/** The kinds of work that are open, whole rounds first, in the order of the work. */
function kindsOf(items: readonly WorkItem[]): readonly Kind[] {
  const kinds = new Map<string, { words: string; items: WorkItem[] }>();
  const add = (key: string, words: string, item: WorkItem) => {
    const known = kinds.get(key) ?? { words, items: [] };
    known.items.push(item);
    kinds.set(key, known);
  };
  const scraping = scrapingIn(items);
  for (const pass of PASSES) {
    const words = `${PASS_NAMES[pass]}${items.some((item) => item.pass === pass && item.coats.length > 0) ? ': everything' : ''}`;
    for (const item of items) if (item.pass === pass) add(pass, words, item);
    for (const item of scraping) if (item.pass === pass) add(pass, words, item);
  }
  for (const item of items) if (item.kind === 'prefill') add('prefill', PASS_NAMES.prefill, item);
  for (const item of items)
    if (item.coats.length > 0) add(`${item.pass} ${item.kind}`, cardWords({ items: [item] }), item);
  return [...kinds].map(([key, own]) => ({ key, ...own }));
}
