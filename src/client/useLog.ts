'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { NewEntry } from '@/core/log/entry';
import { isAwayPath } from './away/stations';
import { useHouse } from './HouseContext';
import { sayToServer } from './outbox/theOutbox';

type WithoutStamp<Kind> = Kind extends NewEntry ? Omit<Kind, 'id' | 'at'> : never;
/** An entry as a form knows it; the id and the time are added when it is sent. */
export type Said = WithoutStamp<NewEntry>;

/**
 * Writes entries into the log of the page's house and shows the page anew. What is written is on this device before it is sent,
 * and keeps its ids until the server has said yes or no to it: sent again after a lost answer or a fault, by whoever, it is never
 * recorded twice. Where there is no server it counts as written, and is sent when there is one.
 *
 * `write` takes when it happened (ms since 1970) where that is not now, and the house where it is not the page's.
 *
 * @param clock the server's time when the page was made, ms since 1970
 */
export function useLog(clock: number) {
  const { id: own, showAnew } = useHouse();
  const router = useRouter();
  const [pending, startTransition] = useTransition();
  const [sending, setSending] = useState(false);
  const [message, setMessage] = useState<string>();
  const [unsent, setUnsent] = useState<{
    readonly key: string;
    readonly id: string;
    readonly entries: readonly NewEntry[];
  }>();
  const [opened, setOpened] = useState(() => ({ clock, at: performance.now() }));
  // A page that was shown anew brings another time of the server.
  if (opened.clock !== clock) setOpened({ clock, at: performance.now() });

  /** The server's time now, ms since 1970. */
  const serverNow = () =>
    document.documentElement.dataset.clock === 'stopped' ? opened.clock : opened.clock + performance.now() - opened.at;

  async function write(said: readonly Said[], happened?: number, house = own): Promise<boolean> {
    if (sending) return false;
    const key = JSON.stringify([said, happened, house]);
    const at = new Date(happened ?? serverNow()).toISOString();
    const group =
      unsent?.key === key
        ? unsent
        : {
            key,
            id: crypto.randomUUID(),
            entries: said.map((entry): NewEntry => ({ ...entry, id: crypto.randomUUID(), at })),
          };
    setSending(true);
    setMessage(undefined);
    const answer = await sayToServer(group.id, house, group.entries);
    setSending(false);
    switch (answer.kind) {
      case 'recorded':
      case 'kept':
        setUnsent(undefined);
        if (showAnew) showAnew();
        else if (answer.kind === 'recorded') startTransition(() => router.refresh());
        else goOnAway();
        return true;
      case 'refused':
        setUnsent(undefined);
        setMessage(answer.why);
        return false;
      case 'signedOut':
        setUnsent(group);
        setMessage(SIGNED_OUT);
        return false;
      case 'away':
        setUnsent(group);
        setMessage('The server did not answer. Nothing is lost: press again to send the same entry.');
        return false;
    }
  }
  return { write, serverNow, busy: sending || pending, message };
}

const SIGNED_OUT = 'You are signed out. It is kept on this device, and sent when you sign in.';

/** Where this device can show the page by itself, with what was just said, it does. */
function goOnAway(): void {
  const isController = 'serviceWorker' in navigator && navigator.serviceWorker.controller !== null;
  if (isController && isAwayPath(window.location.pathname)) window.location.reload();
}
