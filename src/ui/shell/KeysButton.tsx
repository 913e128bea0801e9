'use client';

import { lazy, Suspense, useState } from 'react';
import type { LengthUnit } from '@/core/measure/unit';
import { Opening } from '../Opening';
import { useKey } from '../useKey';

// What is opened by a press comes when it is.
const KeysDialog = lazy(async () => ({ default: (await import('./KeysDialog')).KeysDialog }));

/** The keys and the quick line's grammar, on a button and on `?`. */
export function KeysButton({ unit }: { readonly unit: LengthUnit }) {
  const [open, setOpen] = useState(false);
  useKey('?', () => setOpen(true));
  return (
    <>
      <button
        type="button"
        className="btn btn-ghost btn-square hidden sm:inline-flex"
        aria-label="Keys and grammar"
        onClick={() => setOpen(true)}
      >
        <span aria-hidden="true" className="text-lg font-semibold">
          ?
        </span>
      </button>
      {open && (
        <Suspense fallback={<Opening />}>
          <KeysDialog unit={unit} close={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
