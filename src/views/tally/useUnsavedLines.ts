'use client';

import { useEffect, useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import type { HouseHead } from '@/core/house/schema';
import type { Room } from '@/core/room/schema';
import { theQuickLine } from './theQuickLine';
import { forgetLines, type KeptDraft } from './useKeptDraft';

/**
 * Leaves out the new rooms that the house has by now: a page that was left right after Enter never heard that they were saved.
 *
 * @param left what was typed and never saved, as far as this device knows; undefined where nothing was, or a known room is edited
 * @param rooms of the house
 * @returns what is offered; undefined while that is found out
 */
export function useUnsavedLines(
  me: string,
  left: KeptDraft | undefined,
  house: Pick<HouseHead, 'unit' | 'hang'>,
  rooms: readonly Room[],
): KeptDraft | undefined {
  const { id } = useHouse();
  const [offered, setOffered] = useState<KeptDraft>();
  useEffect(() => {
    let isOver = false;
    if (!left) return setOffered(undefined);
    theQuickLine().then(
      ({ parseQuickLine, formatQuickLine }) => {
        if (isOver) return;
        const known = new Set(rooms.map((room) => formatQuickLine(room, house.unit)));
        const isSaved = (line: string): boolean => {
          const reading = parseQuickLine(line, house);
          return reading.ok && known.has(formatQuickLine(reading.room, house.unit));
        };
        const lines = left.line.split('\n');
        const open = lines.filter((line) => !isSaved(line));
        if (open.length < lines.length) forgetLines(me, id, lines.filter(isSaved));
        setOffered(open.length > 0 ? { ...left, line: open.join('\n') } : undefined);
      },
      () => setOffered(left),
    );
    return () => {
      isOver = true;
    };
  }, [me, id, left, house, rooms]);
  return offered;
}
