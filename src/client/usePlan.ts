'use client';

import { proxy } from 'comlink';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { PlanGroundAnswer } from '@/contract/plan';
import type { HousePlan } from '@/core/plan/planHouse';
import type { Handed, PlanInput } from '@/core/plan/planInput';
import { isHalf, workAnywhere } from '@/core/work/block';
import { scrapeApart } from '@/core/work/scrapeApart';
import { splitItems } from '@/core/work/splitItems';
import type { PlanWorker } from '@/workers/plan.worker';
import { useCommand } from './useCommand';
import { usePlanAnswer } from './usePlanAnswer';
import { useWorker } from './useWorker';

/** What of a plan the lead has moved and not handed out yet, by item. */
export type Moved = PlanInput['handed'];

export interface PlanStanding {
  /** The plan of the house with what it is made from; undefined until the server has answered. */
  readonly ground: PlanGroundAnswer | undefined;
  /** With what was moved. */
  readonly input: PlanInput | undefined;
  readonly plan: HousePlan | undefined;
  /** The plan that stood before this one, where what it was made from has changed since. */
  readonly before: HousePlan | undefined;
  /** Whether a plan with what was moved is still being searched. */
  readonly searching: boolean;
  /** A plan of the same that ends sooner or is otherwise better than the one that is shown; it is shown when it is asked for. */
  readonly better: HousePlan | undefined;
  readonly showBetter: () => void;
  readonly failed: string | undefined;
  /** Ends the search where it is. */
  readonly stop: () => void;
  /** Plans from nothing. */
  readonly again: () => void;
  /** Fetches the plan once more. */
  readonly fetchAnew: () => void;
  /** What would become of it with another input; undefined where nothing was planned yet. */
  readonly price: (input: PlanInput) => Promise<HousePlan | undefined>;
  /** The same, searched for a moment: who would do it best. */
  readonly replan: (input: PlanInput) => Promise<HousePlan | undefined>;
}

const NOTHING: Moved = {};
/**
 * Fetches what of the crew's plan is in the page's house: the plan that every page and everybody sees. What the lead has moved and not handed
 * out yet is planned in a worker, from that plan.
 *
 * @param version of what the page shows: when it changes, the plan is fetched anew
 * @param moved what the lead put somewhere else
 * @param together fetches it for all houses of the crew
 */
export function usePlan(version: string, moved: Moved = NOTHING, together = false): PlanStanding {
  const command = useCommand();
  const [tried, setTried] = useState<{ readonly question: string; readonly plan: HousePlan }>();
  const [found, setFound] = useState<{ readonly question: string; readonly plan: HousePlan }>();
  const [before, setBefore] = useState<HousePlan>();
  const [searching, setSearching] = useState(false);
  const [broken, setFailed] = useState<string>();
  const {
    answer: ground,
    failed = broken,
    fetchAnew,
  } = usePlanAnswer<PlanGroundAnswer>(together ? 'plan?houses=all' : 'plan', version, (answer, former) => {
    if (JSON.stringify(former?.plan?.assignments) !== JSON.stringify(answer.plan?.assignments)) setBefore(former?.plan);
  });
  const shown = useRef<HousePlan>(undefined);
  const worker = useWorker<PlanWorker>(
    () => new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module' }),
    () => {
      setSearching(false);
      setFailed('This browser could not plan. Reload the page.');
    },
  );

  const isMoving = Object.keys(moved).length > 0;
  // A page that is drawn again, as while a card is dragged, asks the same.
  const input = useMemo(() => ground && withMoves(ground.input, moved), [ground, moved]);
  const question = useMemo(() => (input && isMoving ? JSON.stringify(input) : ''), [input, isMoving]);
  const plan = isMoving ? (tried?.question === question ? tried.plan : (shown.current ?? ground?.plan)) : ground?.plan;
  useEffect(() => {
    shown.current = plan;
  }, [plan]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the question says all that is asked
  useEffect(() => {
    const former = shown.current ?? ground?.plan;
    if (question === '' || !input || !former) return;
    const current = worker.ask();
    let isLast = true;
    // The first one is shown and stands still; what is found after it is offered.
    let isShown = false;
    const show = (next: HousePlan) => {
      if (!isLast || !worker.isAsked(current)) return;
      if (isShown) setFound({ question, plan: next });
      else setTried({ question, plan: next });
      isShown = true;
    };
    setBefore(former);
    setSearching(true);
    current
      .plan(input, { former }, proxy(show))
      .then((last) => {
        if (!isLast) return;
        if (last) show(last);
        setSearching(false);
      })
      .catch(() => {
        if (!isLast) return;
        setSearching(false);
        setFailed('Can’t make the plan. Reload the page.');
      });
    return () => {
      isLast = false;
      setSearching(false);
    };
  }, [question, worker]);

  const isBetter =
    isMoving &&
    found?.question === question &&
    plan !== undefined &&
    JSON.stringify(found.plan.assignments) !== JSON.stringify(plan.assignments);
  const better = isBetter ? found.plan : undefined;
  const showBetter = useCallback(() => {
    if (found) setTried(found);
  }, [found]);
  const stop = useCallback(() => {
    void worker.ask().stop();
    setSearching(false);
  }, [worker]);
  const again = useCallback(() => {
    void command.run('planAnew', {}).then((done) => done !== undefined && fetchAnew());
  }, [command.run, fetchAnew]);
  const price = useCallback(
    async (other: PlanInput) => (shown.current ? await worker.ask().price(other, shown.current) : undefined),
    [worker],
  );
  const replan = useCallback(
    async (other: PlanInput) => (shown.current ? await worker.ask().replan(other, shown.current) : undefined),
    [worker],
  );
  return { ground, input, plan, before, searching, better, showBetter, failed, stop, again, fetchAnew, price, replan };
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
