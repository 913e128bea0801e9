'use client';

import { lazy, Suspense, useState } from 'react';
import { Opening } from '../Opening';

// What is opened by a press comes when it is.
const AccountDialog = lazy(async () => ({ default: (await import('./AccountDialog')).AccountDialog }));

/** Shows who is signed in, and opens the account menu. */
export function AccountButton({ name, role }: { readonly name: string; readonly role: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className="btn btn-outline btn-sm max-w-32 min-w-11 shrink flex-nowrap rounded-full whitespace-nowrap"
        aria-haspopup="dialog"
        aria-label={`Account of ${name}`}
        onClick={() => setOpen(true)}
      >
        <span className="truncate">{name}</span> <span className="hidden text-muted md:inline">{role}</span>
        <span aria-hidden="true">▾</span>
      </button>
      {open && (
        <Suspense fallback={<Opening />}>
          <AccountDialog name={name} close={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
