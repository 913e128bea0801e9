'use client';

import { proxy, type Remote } from 'comlink';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { PlanGroundAnswer } from '@/contract/plan';
import type { HousePlan } from '@/core/plan/planHouse';
import type { Handed, PlanInput } from '@/core/plan/planInput';
import { isHalf, workAnywhere } from '@/core/work/block';
import { scrapeApart } from '@/core/work/scrapeApart';
import { splitItems } from '@/core/work/splitItems';
import type { PlanWorker } from '@/workers/plan.worker';
import { useHouse } from './HouseContext';
import { useWorker } from './useWorker';

/** What of a plan the lead has moved and not handed out yet, by item. */
export type Moved = PlanInput['handed'];

export interface PlanStanding {
  /** What it is made from; undefined until the server has told. */
  readonly ground: PlanGroundAnswer | undefined;
  /** With what was moved. */
  readonly input: PlanInput | undefined;
  readonly plan: HousePlan | undefined;
  /** The plan that stood before this one, where what it was made from has changed since. */
  readonly before: HousePlan | undefined;
  /** Whether it is still being searched. */
  readonly searching: boolean;
  readonly failed: string | undefined;
  /** Ends the search where it is. */
  readonly stop: () => void;
  /** Plans from nothing. */
  readonly again: () => void;
  /** Fetches what it is made from once more. */
  readonly fetchAnew: () => void;
  /** What would become of it with another input; undefined where nothing was planned yet. */
  readonly price: (input: PlanInput) => Promise<HousePlan | undefined>;
}

const NOTHING: Moved = {};

interface PlanAsked {
  /** How long it is searched for; a while where it is not said. */
  readonly effort?: number;
  /** Whether all houses of the crew are planned at once. */
  readonly together?: boolean;
}
/**
 * The plan that was found last for a house while this tab is open, without what was only tried: the next page goes on from it,
 * and tells the same.
 */
const lastFound = new Map<string, HousePlan>();
const LOST = 'The plan could not be fetched. What is shown is the last one known.';

/**
 * The plan of the page's house, made in a worker: a first one at once, better ones as they are found. A new one is searched
 * for from the one before, on this page or another one, so that it moves no more than it must.
 *
 * @param moved what the lead put somewhere else
 * @param version of what the page shows: when it changes, what the plan is made from is fetched anew
 */
export function usePlan(
  version: string,
  moved: Moved = NOTHING,
  { effort, together = false }: PlanAsked = {},
): PlanStanding {
  const { id } = useHouse();
  const [ground, setGround] = useState<PlanGroundAnswer>();
  const [plan, setPlan] = useState<HousePlan>();
  const [before, setBefore] = useState<HousePlan>();
  const [searching, setSearching] = useState(false);
  const [failed, setFailed] = useState<string>();
  const [turn, setTurn] = useState(0);
  const shown = useRef<HousePlan>(undefined);
  const asked = useRef<{ readonly question: string; readonly of: Remote<PlanWorker> }>(undefined);
  const worker = useWorker<PlanWorker>(
    () => new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module' }),
    () => {
      setSearching(false);
      setFailed('This browser could not plan. Reload the page.');
    },
  );

  // biome-ignore lint/correctness/useExhaustiveDependencies: a page that shows something else asks again
  useEffect(() => {
    const gone = new AbortController();
    fetch(`/h/${id}/plan${together ? '?houses=all' : ''}`, {
      signal: gone.signal,
      headers: { accept: 'application/json' },
    })
      .then(async (response) => {
        if (!response.ok) throw new Error(String(response.status));
        setGround(await response.json());
        setFailed(undefined);
      })
      .catch(() => {
        if (!gone.signal.aborted) setFailed(LOST);
      });
    return () => gone.abort();
  }, [id, version, turn, together]);

  // A page that is drawn again, as while a card is dragged, asks the same.
  const input = useMemo(() => ground && withMoves(ground.input, moved), [ground, moved]);
  const question = useMemo(() => (input ? JSON.stringify(input) : ''), [input]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the question says all that is asked
  useEffect(() => {
    if (!input) return;
    const current = worker.ask();
    if (asked.current?.question === question && asked.current.of === current) return;
    asked.current = { question, of: current };
    const isLast = () => asked.current?.question === question && worker.isAsked(current);
    const show = (found: HousePlan) => {
      if (!isLast()) return;
      shown.current = found;
      if (!together && Object.keys(moved).length === 0) lastFound.set(id, found);
      setPlan(found);
    };
    setBefore(shown.current);
    setSearching(true);
    const former = shown.current ?? (together ? undefined : lastFound.get(id));
    current
      .plan(input, { ...(former ? { former } : {}), ...(effort === undefined ? {} : { effort }) }, proxy(show))
      .then((found) => {
        if (!isLast()) return;
        if (found) show(found);
        setSearching(false);
      })
      .catch(() => {
        if (!isLast()) return;
        setSearching(false);
        setFailed('The plan could not be made. Reload the page.');
      });
  }, [question, worker]);

  const stop = useCallback(() => {
    void worker.ask().stop();
    setSearching(false);
  }, [worker]);
  const again = useCallback(() => {
    asked.current = undefined;
    shown.current = undefined;
    lastFound.delete(id);
    setGround((known) => known && { ...known });
  }, [id]);
  const fetchAnew = useCallback(() => setTurn((known) => known + 1), []);
  const price = useCallback(
    async (other: PlanInput) => (shown.current ? await worker.ask().price(other, shown.current) : undefined),
    [worker],
  );
  return { ground, input, plan, before, searching, failed, stop, again, fetchAnew, price };
}

/** What is planned with what was moved: it stays where the lead put it, half an item without its other half. */
export function withMoves(input: PlanInput, moved: Moved): PlanInput {
  const halves = Object.keys(moved).filter(isHalf);
  const items = splitItems(scrapeApart(input.items, new Set(Object.keys(moved))), new Set(halves.map(workAnywhere)));
  const all = { ...input.handed, ...moved };
  const inherited = items.flatMap(({ id }): readonly [string, Handed][] => {
    const given = isHalf(id) && !all[id] ? all[workAnywhere(id)] : undefined;
    return given ? [[id, given]] : [];
  });
  return { ...input, items, handed: { ...all, ...Object.fromEntries(inherited) } };
}

/** Whether the lead moved an item, or that of which it is a half. */
export const isMoved = (id: string, moved: Moved, handed: PlanInput['handed']): boolean =>
  id in moved || (isHalf(id) && workAnywhere(id) in moved && !(id in handed));
