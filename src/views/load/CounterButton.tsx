'use client';

import { useState } from 'react';
import { Dialog } from '@/ui/Dialog';

/** What is asked for at the counter: shown large, one line each, ticked off as it is loaded. */
export function CounterButton({
  lines,
}: {
  readonly lines: readonly { readonly packs: string; readonly item: string }[];
}) {
  const [open, setOpen] = useState(false);
  const [loaded, setLoaded] = useState<ReadonlySet<string>>(new Set());
  return (
    <>
      <button type="button" className="btn" onClick={() => setOpen(true)}>
        At the counter
      </button>
      {open && (
        <Dialog title="At the counter" close={() => setOpen(false)} className="gloves">
          <ul className="divide-y divide-base-300">
            {lines.map(({ packs, item }) => (
              <li key={item}>
                <label className="flex min-h-14 items-center gap-4 py-2 text-xl">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-lg"
                    checked={loaded.has(item)}
                    onChange={() =>
                      setLoaded((known) => {
                        const next = new Set(known);
                        if (!next.delete(item)) next.add(item);
                        return next;
                      })
                    }
                  />
                  <span className={loaded.has(item) ? 'text-muted line-through' : ''}>
                    <b>{packs}</b> {item}
                  </span>
                </label>
              </li>
            ))}
          </ul>
          <button type="button" className="btn btn-lg w-full" onClick={() => setOpen(false)}>
            Close
          </button>
        </Dialog>
      )}
    </>
  );
}
