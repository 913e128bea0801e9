'use client';

import { startTransition, useEffect, useState } from 'react';

/**
 * The first of many rows, and all of them once the page stands: what is seen first is there first, and the server draws no more
 * than that. Where the address names a later row, it is brought into view when it is there.
 *
 * @param first so many at first
 */
export function useLater<Row>(rows: readonly Row[], first: number): readonly Row[] {
  const [all, setAll] = useState(rows.length <= first);
  useEffect(() => startTransition(() => setAll(true)), []);
  useEffect(() => {
    const named = decodeURIComponent(window.location.hash.slice(1));
    if (all && named) document.getElementById(named)?.scrollIntoView();
  }, [all]);
  return all ? rows : rows.slice(0, first);
}
