import { useState } from 'react';
import { type FoundEdit, isSameFound } from '@/core/hang/foundEdits';
import type { FoundFace } from '@/core/room/resolveHang';
import { NOT_SO_WORDS } from '@/words/hungWords';

interface History {
  readonly past: readonly FoundFace[];
  readonly now: FoundFace;
  readonly next: readonly FoundFace[];
}

/** What was found of a face while it is changed: every change can be taken back, and done again. */
export interface HungEdits {
  readonly found: FoundFace;
  /** Why the last change could not be made. */
  readonly reason: string | undefined;
  /** Makes a change; tells whether it could be made. */
  readonly edit: (change: FoundEdit) => boolean;
  readonly undo: (() => void) | undefined;
  readonly redo: (() => void) | undefined;
}

export function useHungEdits(start: FoundFace): HungEdits {
  const [history, setHistory] = useState<History>({ past: [], now: start, next: [] });
  const [reason, setReason] = useState<string>();
  const { past, now, next } = history;
  const [before, after] = [past.at(-1), next[0]];
  const go = (to: History) => {
    setHistory(to);
    setReason(undefined);
  };
  return {
    found: now,
    reason,
    edit: (change) => {
      if (!change.ok) {
        setReason(NOT_SO_WORDS[change.why]);
        return false;
      }
      if (isSameFound(change.found, now)) setReason(undefined);
      else go({ past: [...past, now], now: change.found, next: [] });
      return true;
    },
    undo: before && (() => go({ past: past.slice(0, -1), now: before, next: [now, ...next] })),
    redo: after && (() => go({ past: [...past, now], now: after, next: next.slice(1) })),
  };
}
