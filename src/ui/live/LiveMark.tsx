'use client';

import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useRef, useState, useTransition } from 'react';
import { type LiveState, listenToMarks, type Mark } from '@/client/liveMarks';

/** What is only measured is shown anew at most so often, where the air is looked at and elsewhere; what somebody logged at
 * once. */
const AIR_EVERY_MS = 10_000;
const AIR_ELSEWHERE_MS = 60_000;
const LOG_EVERY_MS = 1000;
const GATHER_MS = 300;
/** The clock on the page is never older than this. */
const LONGEST_MS = 5 * 60_000;
const SLACK_MS = 1500;

const WORDS: Readonly<Record<LiveState, string>> = {
  joining: 'joining',
  live: 'live',
  asking: 'asking every 10 s',
  lost: 'server lost',
};

/**
 * Keeps the page of a house true: shows it anew when the log, the air or the rooms went on, and when a coat has become ready
 * by itself.
 *
 * @param mark how far the house had come when the page was made
 * @param changesIn ms until something changes by itself
 */
export function LiveMark({
  house,
  mark,
  made,
  changesIn,
}: {
  readonly house: string;
  readonly mark: Mark;
  /** The server's time when the page was made: another one is another page. */
  readonly made: number;
  readonly changesIn: number | undefined;
}) {
  const router = useRouter();
  const airEvery = usePathname().split('/')[3] === 'dry' ? AIR_EVERY_MS : AIR_ELSEWHERE_MS;
  const [, startTransition] = useTransition();
  const [state, setState] = useState<LiveState>('joining');
  const shownAt = useRef(Number.NEGATIVE_INFINITY);

  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const showAfter = (wait: number) => {
      clearTimeout(timer);
      timer = setTimeout(
        () => {
          // Nobody looks; when somebody does again, what is new is asked for.
          if (document.visibilityState === 'hidden') return;
          shownAt.current = performance.now();
          startTransition(() => router.refresh());
        },
        // Who logged something here sees it already by the time this comes.
        Math.max(GATHER_MS, shownAt.current + wait - performance.now()),
      );
    };
    const stop = listenToMarks((marks, next) => {
      setState(next);
      const news = marks[house];
      if (news && (news.seq > mark.seq || news.rooms > mark.rooms)) showAfter(LOG_EVERY_MS);
      else if (news && news.air > mark.air) showAfter(airEvery);
    });
    return () => {
      stop();
      clearTimeout(timer);
    };
  }, [house, mark.seq, mark.air, mark.rooms, airEvery, router]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: every page that was made starts the wait anew
  useEffect(() => {
    const wait = Math.min(LONGEST_MS, (changesIn ?? LONGEST_MS) + SLACK_MS);
    // Where nobody answers, asking would take away what is on the page, and what is typed into it.
    const isLost = state === 'lost';
    const timer = setTimeout(() => !isLost && startTransition(() => router.refresh()), wait);
    return () => clearTimeout(timer);
  }, [made, changesIn, router, state === 'lost']);

  const isQuiet = state === 'live' || state === 'joining';
  return (
    <span
      role="status"
      className={`narrow items-center gap-1.5 text-sm ${isQuiet ? 'hidden text-muted sm:inline-flex' : 'inline-flex text-warning'}`}
    >
      <span aria-hidden="true" className={`${isQuiet ? 'shape-go' : 'shape-wet'} mt-0`} />
      {WORDS[state]}
    </span>
  );
}
