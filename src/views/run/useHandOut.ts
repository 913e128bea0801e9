'use client';

import { type Said, useLog } from '@/client/useLog';
import type { PlanStanding } from '@/client/usePlan';
import { groupBy } from '@/core/measure/groupBy';
import type { Handed, PlanRoom } from '@/core/plan/planInput';
import type { WorkItem } from '@/core/work/workItem';
import { handings } from './planCards';

/** Items with whom they are given to and for which day. */
export interface Given {
  readonly items: readonly WorkItem[];
  readonly given: Handed;
}

/** So many entries are sent at once. */
const AT_ONCE = 400;

/**
 * Hands work out, or lets it go: what is of one house goes there together.
 *
 * @param clock the server's time when the page was made, ms since 1970
 */
export function useHandOut({ ground, input, fetchAnew }: PlanStanding, clock: number) {
  const log = useLog(clock);

  /** @returns whether all of it was written down */
  async function write(some: readonly Given[]): Promise<boolean> {
    if (!ground || !input) return false;
    const all = some.flatMap(({ items, given }) => [...handings(items, given, input, ground.seen)]);
    let done = true;
    for (const [house, own] of groupBy(all, ([of]) => of)) {
      const said = own.flatMap(([, entries]) => entries);
      for (let from = 0; done && from < said.length; from += AT_ONCE)
        done = await log.write(said.slice(from, from + AT_ONCE), { house });
    }
    // Of its own house the page hears by itself, of others it does not.
    if (ground.houses > 1 || !done) fetchAnew();
    return done;
  }
  /** Says something of rooms, each in the log of its house. */
  async function sayOf(rooms: readonly PlanRoom[], said: (room: string) => Said): Promise<boolean> {
    let done = true;
    for (const [house, own] of groupBy(rooms, (room) => room.house))
      done =
        done &&
        (await log.write(
          own.map(({ room }) => said(room)),
          { house },
        ));
    return done;
  }
  return { write, sayOf, busy: log.busy, message: log.message };
}
