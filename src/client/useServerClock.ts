'use client';

import { useEffect, useRef, useState } from 'react';

/**
 * Returns a function that reads the server's time, ms since 1970: its time when the page was made, and what has passed on this device
 * since. The device's own clock may be wrong.
 *
 * @param clock the server's time when the page was made
 */
export function useServerClock(clock: number): () => number {
  const [opened, setOpened] = useState(() => ({ clock, at: performance.now() }));
  // A page that is shown again brings a newer time.
  if (opened.clock !== clock) setOpened({ clock, at: performance.now() });
  return () =>
    document.documentElement.dataset.clock === 'stopped' ? opened.clock : opened.clock + performance.now() - opened.at;
}

const TICK_MS = 5000;

/** Returns the server's time and keeps it current while the page is open. */
export function useServerTime(clock: number): number {
  const read = useServerClock(clock);
  const latest = useRef(read);
  latest.current = read;
  const [at, setAt] = useState(clock);
  useEffect(() => {
    const timer = setInterval(() => setAt(latest.current()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  return Math.max(at, clock);
}
