'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { useHouse } from './HouseContext';
import { listenToMarks } from './liveMarks';

/** Delay before an answer is fetched again, so that one request covers several entries. ms */
const GATHER_MS = 1000;
/** Status if the house is not in the plan. */
const BEHIND = 409;
const LOST = 'Can’t load the plan. You see the last one known.';

/**
 * Fetches an answer about the plan of the page's house. Fetches it again when the version changes or another house in the plan changes.
 *
 * @param path of the route within the house, for example `plan/finish`
 * @param version of the data on the page
 * @param received called with each answer and the one before
 */
export function usePlanAnswer<Answer extends { readonly seen: Readonly<Record<string, number>> }>(
  path: string,
  version: string,
  received?: (answer: Answer, before: Answer | undefined) => void,
): {
  readonly answer: Answer | undefined;
  readonly failed: string | undefined;
  readonly fetchAnew: () => void;
} {
  const { id } = useHouse();
  const [answer, setAnswer] = useState<Answer>();
  const [failed, setFailed] = useState<string>();
  const [turn, setTurn] = useState(0);
  const known = useRef<Answer>(undefined);
  const hear = useRef(received);
  hear.current = received;

  // biome-ignore lint/correctness/useExhaustiveDependencies: a page that shows something else asks again
  useEffect(() => {
    const gone = new AbortController();
    fetch(`/h/${id}/${path}`, { signal: gone.signal, headers: { accept: 'application/json' } })
      .then(async (response) => {
        if (response.status === BEHIND) {
          setFailed((await response.json()).message);
          return;
        }
        if (!response.ok) throw new Error(String(response.status));
        const next: Answer = await response.json();
        hear.current?.(next, known.current);
        known.current = next;
        setAnswer(next);
        setFailed(undefined);
      })
      .catch(() => {
        if (!gone.signal.aborted) setFailed(LOST);
      });
    return () => gone.abort();
  }, [id, path, version, turn]);

  // The page refreshes itself when its own house changes. When another house changes, only the answer is fetched again.
  const asked = useRef('');
  useEffect(() => {
    if (!answer) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const stop = listenToMarks((marks) => {
      const news = Object.entries(answer.seen).flatMap(([house, seq]) => {
        const now = marks[house]?.seq ?? seq;
        return house !== id && now > seq ? [`${house} ${now}`] : [];
      });
      if (news.length === 0 || news.join() === asked.current) return;
      clearTimeout(timer);
      timer = setTimeout(() => {
        asked.current = news.join();
        setTurn((known) => known + 1);
      }, GATHER_MS);
    });
    return () => {
      stop();
      clearTimeout(timer);
    };
  }, [answer, id]);

  const fetchAnew = useCallback(() => setTurn((known) => known + 1), []);
  return { answer, failed, fetchAnew };
}
