'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { Asks } from '@/contract/asks';
import type { NewEntry } from '@/core/log/entry';
import { isAwayPath } from './away/stations';
import { useHouse } from './HouseContext';
import type { UnsentPhoto } from './outbox/deviceStore';
import { type Answer, clashesIn, withAnswer } from './outbox/outbox';
import { sayToServer } from './outbox/theOutbox';
import { withKnown } from './ownCoats';
import { useServerClock } from './useServerClock';

type WithoutStamp<Kind> = Kind extends NewEntry ? Omit<Kind, 'id' | 'at' | 'deviceAt'> : never;
/** An entry as a form knows it; the time is added when it is sent, and an id where another one does not need to know it before. */
export type Said = WithoutStamp<NewEntry> & { readonly id?: string };

/** What is known of something said beside what it says. */
export interface Circumstances {
  /** When it happened, ms since 1970; now where it does not say. */
  readonly at?: number | undefined;
  /** The page's house where it does not say. */
  readonly house?: string;
  /** Photos that the entries name. */
  readonly photos?: readonly UnsentPhoto[];
}

/** Entries that the server has a question about, and the question. */
interface Asked {
  readonly words: string;
  readonly asks: Asks;
  readonly said: readonly Said[];
  readonly circumstances: Circumstances;
}

/** A question about a coat, with what sends the answer. */
export interface AskedCoat {
  readonly words: string;
  readonly asks: Asks;
  readonly answer: (answer: Answer) => Promise<boolean>;
}

/** Clocks that differ by less are right. */
const OFF_MS = 2 * 60_000;

/**
 * Writes entries into the log of the page's house and shows the page anew. What is written is on this device before it is sent,
 * and keeps its ids until the server has said yes or no to it: sent again after a lost answer or a fault, by whoever, it is never
 * recorded twice. Where there is no server it counts as written, and is sent when there is one.
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
  const [asked, setAsked] = useState<Asked>();
  const serverNow = useServerClock(clock);

  async function write(
    said: readonly Said[],
    { at: happened, house = own, photos = [] }: Circumstances = {},
  ): Promise<boolean> {
    if (sending) return false;
    const key = JSON.stringify([said, happened, house]);
    const at = new Date(happened ?? serverNow()).toISOString();
    const off = offClock(serverNow());
    const group =
      unsent?.key === key
        ? unsent
        : {
            key,
            id: crypto.randomUUID(),
            entries: withKnown(
              said.map((entry): NewEntry => ({ id: crypto.randomUUID(), ...entry, at, ...off })),
              showAnew !== undefined,
            ),
          };
    setSending(true);
    setMessage(undefined);
    setAsked(undefined);
    const answer = await sayToServer(group.id, house, group.entries, photos);
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
        if (answer.asks)
          setAsked({
            words: answer.why,
            asks: answer.asks,
            // What did not clash is recorded.
            said: clashesIn(answer.asks) ? (answer.entries ?? group.entries) : said,
            circumstances: { at: happened, house, photos },
          });
        else setMessage(answer.why);
        return false;
      case 'signedOut':
        setUnsent(group);
        setMessage(SIGNED_OUT);
        return false;
      case 'away':
        setUnsent(group);
        setMessage('No answer from the server. Press again to send the same entry.');
        return false;
    }
  }
  const answer = async (given: Answer): Promise<boolean> => {
    if (!asked) return false;
    const left = withAnswer(asked.said, asked.asks, given, (added) => added as Said);
    if (left.length > 0) return write(left, asked.circumstances);
    setAsked(undefined);
    if (showAnew) showAnew();
    else startTransition(() => router.refresh());
    return true;
  };
  const question: AskedCoat | undefined = asked && { words: asked.words, asks: asked.asks, answer };
  /** Asks before anything is sent what the server would ask. */
  const ask = (words: string, asks: Asks, said: readonly Said[], circumstances: Circumstances) =>
    setAsked({ words, asks, said, circumstances });
  return { write, ask, serverNow, busy: sending || pending, message, question };
}

/** What the clock of this device says, where it is off by more than a little. */
function offClock(serverNow: number): { readonly deviceAt?: string } {
  const own = Date.now();
  return Math.abs(own - serverNow) > OFF_MS ? { deviceAt: new Date(own).toISOString() } : {};
}

const SIGNED_OUT = 'You are signed out. Your entry is saved on this device and is sent when you sign in.';

/** Where this device can show the page by itself, with what was just said, it does. */
function goOnAway(): void {
  const isController = 'serviceWorker' in navigator && navigator.serviceWorker.controller !== null;
  if (isController && isAwayPath(window.location.pathname)) window.location.reload();
}
