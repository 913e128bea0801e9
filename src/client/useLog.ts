'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { NewEntry } from '@/core/log/entry';
import { ENTRY_VERSION } from '@/core/log/liftEntry';
import { useHouse } from './HouseContext';
import { post, SERVER_LOST } from './sendCommand';

type WithoutStamp<Kind> = Kind extends NewEntry ? Omit<Kind, 'id' | 'at'> : never;
/** An entry as a form knows it; the id and the time are added when it is sent. */
export type Said = WithoutStamp<NewEntry>;

/**
 * Writes entries into the log of the page's house and shows the page anew. An entry keeps its id until the server has said yes
 * or no to it: sent again after a lost answer or a fault it is never recorded twice.
 *
 * `write` takes when it happened (ms since 1970) where that is not now, and the house where it is not the page's.
 *
 * @param clock the server's time when the page was made, ms since 1970
 */
export function useLog(clock: number) {
  const { id: own } = useHouse();
  const router = useRouter();
  const [pending, startTransition] = useTransition();
  const [sending, setSending] = useState(false);
  const [message, setMessage] = useState<string>();
  const [unsent, setUnsent] = useState<{ readonly key: string; readonly entries: readonly NewEntry[] }>();
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
    const entries =
      unsent?.key === key ? unsent.entries : said.map((entry): NewEntry => ({ ...entry, id: crypto.randomUUID(), at }));
    setSending(true);
    setMessage(undefined);
    try {
      const response = await post('/api/entries', {
        house,
        entries: entries.map((entry) => ({ ...entry, version: ENTRY_VERSION })),
      });
      if (!response.ok) {
        // Only a refusal says that nothing was recorded: after a fault the same entry is sent again.
        setUnsent(response.status >= 500 ? { key, entries } : undefined);
        const answer: { message?: string } = await response.json().catch(() => ({}));
        setMessage(answer.message ?? SERVER_LOST);
        return false;
      }
      setUnsent(undefined);
      startTransition(() => router.refresh());
      return true;
    } catch {
      setUnsent({ key, entries });
      setMessage('The server did not answer. Nothing is lost: press again to send the same entry.');
      return false;
    } finally {
      setSending(false);
    }
  }
  return { write, serverNow, busy: sending || pending, message };
}
