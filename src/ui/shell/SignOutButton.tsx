'use client';

import { LogOut } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { leaveNothing } from '@/client/outbox/deviceStore';
import { useOutbox } from '@/client/outbox/useOutbox';
import { sendCommand } from '@/client/sendCommand';
import { Dialog } from '../Dialog';

/** Who is signed in, and the way out: what this device kept of the houses goes, what was not sent stays. */
export function SignOutButton({ name, role }: { readonly name: string; readonly role: string }) {
  const router = useRouter();
  const { groups } = useOutbox();
  const [asking, setAsking] = useState(false);
  const [lost, setLost] = useState(false);
  const leave = async () => {
    try {
      await sendCommand('signOut', {});
    } catch {
      setAsking(true);
      setLost(true);
      return;
    }
    await leaveNothing().catch(() => undefined);
    router.push('/signin');
    router.refresh();
  };
  return (
    <>
      <button
        type="button"
        className="btn btn-outline btn-sm shrink-0 flex-nowrap rounded-full whitespace-nowrap"
        onClick={() => (groups.length > 0 ? setAsking(true) : void leave())}
        aria-label={`Sign out ${name}`}
        title="Sign out"
      >
        {name} <span className="hidden text-muted sm:inline">{role}</span>{' '}
        <LogOut className="size-4" aria-hidden="true" />
      </button>
      {asking && (
        <Dialog title="Sign out" close={() => setAsking(false)}>
          {groups.length > 0 && (
            <p role="alert">
              {groups.length} unsent: they stay on this device, and are sent only when you sign in here again.
            </p>
          )}
          {lost && <p>The server does not answer: nobody can be signed out now. Try again when it does.</p>}
          <div className="modal-action">
            <button type="button" className="btn" onClick={() => setAsking(false)}>
              Stay
            </button>
            <button type="button" className="btn btn-primary" onClick={() => void leave()}>
              Sign out all the same
            </button>
          </div>
        </Dialog>
      )}
    </>
  );
}
