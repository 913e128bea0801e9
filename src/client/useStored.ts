'use client';

import { useCallback, useSyncExternalStore } from 'react';

const CHANGED = 'oak-stored';

/**
 * A text that is kept on this device through reloads and a closed browser; null where there is none, and on the server.
 *
 * @returns the text, and what keeps another one or, with undefined, none
 */
export function useStored(key: string): readonly [string | null, (text: string | undefined) => void] {
  const stored = useSyncExternalStore(
    (changed) => {
      addEventListener('storage', changed);
      addEventListener(CHANGED, changed);
      return () => {
        removeEventListener('storage', changed);
        removeEventListener(CHANGED, changed);
      };
    },
    () => readStored(key),
    () => null,
  );
  const keep = useCallback((text: string | undefined) => writeStored(key, text), [key]);
  return [stored, keep];
}

/** Keeps a text on this device, or none with undefined, and tells all who show it. */
export function writeStored(key: string, text: string | undefined): void {
  if (readStored(key) === (text ?? null)) return;
  try {
    if (text === undefined) localStorage.removeItem(key);
    else localStorage.setItem(key, text);
  } catch {
    // A device without a place to keep it does without.
  }
  dispatchEvent(new Event(CHANGED));
}

/** Reads a text that is kept on this device; null where there is none. */
export function readStored(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}
