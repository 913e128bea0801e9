'use client';

import { createContext, useContext, useEffect, useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { SERVER_LOST } from '@/client/sendCommand';
import type { PieceMap } from './pieceMap';

/** Draws the rooms of a page that has no server. */
export const RoomDrawer = createContext<((room: string) => PieceMap | undefined) | undefined>(undefined);

/**
 * A room laid flat with its pieces; nothing while it is drawn, and why it cannot be.
 *
 * @param news it is drawn anew when this is another
 */
export function usePieceMap(room: string, news = ''): { readonly map?: PieceMap; readonly trouble?: string } {
  const { id: house } = useHouse();
  const drawer = useContext(RoomDrawer);
  const [drawn, setDrawn] = useState<{ readonly map?: PieceMap; readonly trouble?: string }>({});
  // biome-ignore lint/correctness/useExhaustiveDependencies: see news
  useEffect(() => {
    if (drawer) {
      const map = drawer(room);
      setDrawn(map ? { map } : { trouble: 'This room is too large to be drawn here.' });
      return;
    }
    const stop = new AbortController();
    fetch(`/h/${house}/pieces?room=${encodeURIComponent(room)}`, { cache: 'no-store', signal: stop.signal })
      .then(async (answer) => {
        const told = await answer.json();
        setDrawn(answer.ok ? { map: told } : { trouble: told.message ?? SERVER_LOST });
      })
      .catch(() => !stop.signal.aborted && setDrawn({ trouble: SERVER_LOST }));
    return () => stop.abort();
  }, [drawer, house, room, news]);
  return drawn;
}
