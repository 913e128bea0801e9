'use client';

import { useState } from 'react';
import { leaveNothing } from '@/client/outbox/deviceStore';
import { useOutbox } from '@/client/outbox/useOutbox';
import { sendCommand } from '@/client/sendCommand';
import { Dialog } from '../Dialog';
import { PageLink } from '../PageLink';

/** Shows the account menu. Signing out removes the houses that this device kept; unsent entries stay. */
export function AccountDialog({ name, close }: { readonly name: string; readonly close: () => void }) {
  const { groups } = useOutbox();
  const [lost, setLost] = useState(false);
  const leave = async () => {
    try {
      await sendCommand('signOut', {});
    } catch {
      setLost(true);
      return;
    }
    await leaveNothing().catch(() => undefined);
    // Loaded anew: nothing that was shown stays in the browser's memory.
    window.location.assign('/signin');
  };
  return (
    <Dialog title={name} close={close} className="gloves">
      {groups.length > 0 && (
        <p role="alert">
          {groups.length} unsent: they stay on this device, and are sent only when you sign in here again.
        </p>
      )}
      {lost && <p role="alert">No connection: you can’t be signed out now. Try again when the server answers.</p>}
      <div className="grid gap-2">
        <PageLink href="/houses" className="btn justify-start">
          Houses, crew and account
        </PageLink>
        <button type="button" className="btn justify-start" onClick={() => void leave()}>
          Sign out{groups.length > 0 ? ' anyway' : ''}
        </button>
        <button type="button" className="btn justify-start" onClick={close}>
          Close
        </button>
      </div>
    </Dialog>
  );
}
