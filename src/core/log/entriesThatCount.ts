import type { Entry } from './entry';
import { standing } from './stateOf';

/**
 * What of a log still counts: what was taken back is left out, and of work that was handed out again all but the last time. It
 * folds to the same states as the whole log, but for how often something was handed out.
 */
export function entriesThatCount(entries: readonly Entry[]): readonly Entry[] {
  const last = new Map<string, Entry>();
  const out: Entry[] = [];
  for (const entry of standing(entries)) {
    if (entry.kind === 'assigned') last.set(`${entry.room} ${entry.payload.work}`, entry);
    else out.push(entry);
  }
  return [...out, ...last.values()].sort((a, b) => a.seq - b.seq);
}
