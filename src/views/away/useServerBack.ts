'use client';

import { useEffect, useState } from 'react';

const ASK_EVERY_MS = 10_000;

/** Whether the server answers again; asked from time to time, and when there is a network. */
export function useServerBack(): boolean {
  const [isBack, setBack] = useState(false);
  useEffect(() => {
    let gone = false;
    const ask = async () => {
      const answer = await fetch('/api/health', { cache: 'no-store' }).catch(() => undefined);
      if (!gone) setBack(answer?.ok === true);
    };
    const timer = setInterval(() => void ask(), ASK_EVERY_MS);
    const soon = () => void ask();
    window.addEventListener('online', soon);
    soon();
    return () => {
      gone = true;
      clearInterval(timer);
      window.removeEventListener('online', soon);
    };
  }, []);
  return isBack;
}
