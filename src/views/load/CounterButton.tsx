'use client';

import { useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { useLog } from '@/client/useLog';
import { useStored } from '@/client/useStored';
import type { Good } from '@/core/materials/goods';
import { Dialog } from '@/ui/Dialog';
import { turned } from '@/ui/turned';

/** A line of what is asked for at the counter. */
export interface CounterLine {
  readonly packs: string;
  readonly item: string;
  /** The delivery that it is, in the good's own measure; undefined for what the crew keeps no stock of. */
  readonly delivery?: { readonly good: Good; readonly amount: number } | undefined;
}

/** What is asked for at the counter: shown large, ticked as it is loaded, and logged as delivered. */
export function CounterButton({
  lines,
  scope,
  works,
  now,
}: {
  readonly lines: readonly CounterLine[];
  /** For which part of the house. */
  readonly scope: string;
  /** Whether who looks may log deliveries. */
  readonly works: boolean;
  readonly now: number;
}) {
  const { id: house } = useHouse();
  const log = useLog(now);
  const [isOpen, setOpen] = useState(false);
  const [stored, keep] = useStored(`oak-counter ${house} ${scope}`);
  const loaded: ReadonlySet<string> = new Set(stored?.split('\n'));
  const deliveries = lines.flatMap(({ item, delivery }) => (loaded.has(item) && delivery ? [delivery] : []));
  const tick = (item: string) => {
    const next = turned(loaded, item);
    const known = lines.filter((line) => next.has(line.item)).map((line) => line.item);
    keep(known.length > 0 ? known.join('\n') : undefined);
  };
  const logDelivery = async () => {
    const said = deliveries.map(({ good, amount }) => ({
      kind: 'stock' as const,
      room: null,
      payload: { good, what: 'delivered' as const, amount },
    }));
    if (!(await log.write(said))) return;
    keep(undefined);
    setOpen(false);
  };
  return (
    <>
      <button type="button" className="btn" onClick={() => setOpen(true)}>
        At the counter
      </button>
      {isOpen && (
        <Dialog title="At the counter" close={() => setOpen(false)} className="gloves">
          <p className="text-muted">Ticks stay on this device.</p>
          <ul className="divide-y divide-base-300">
            {lines.map(({ packs, item }) => (
              <li key={item}>
                <label className="flex min-h-14 items-center gap-4 py-2 text-xl">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-lg"
                    checked={loaded.has(item)}
                    onChange={() => tick(item)}
                  />
                  <span className={loaded.has(item) ? 'text-muted line-through' : ''}>
                    <b>{packs}</b> {item}
                  </span>
                </label>
              </li>
            ))}
          </ul>
          {log.message && (
            <p role="alert" className="text-error">
              {log.message}
            </p>
          )}
          {works && (
            <button
              type="button"
              className="btn btn-primary btn-lg w-full"
              disabled={deliveries.length === 0 || log.busy}
              onClick={() => void logDelivery()}
            >
              Log delivery{deliveries.length > 0 && ` (${deliveries.length})`}
            </button>
          )}
          <button type="button" className="btn btn-lg w-full" onClick={() => setOpen(false)}>
            Close
          </button>
        </Dialog>
      )}
    </>
  );
}
