'use client';

import { useMemo, useState } from 'react';
import { formatQuickLine } from '@/core/house/formatQuickLine';
import { parseQuickLine, type QuickReading, type QuickRoom } from '@/core/house/parseQuickLine';
import type { HouseHead } from '@/core/house/schema';

/** The room being edited: its line as typed, what the line reads as, and the last room that could be read. */
export interface Draft {
  readonly line: string;
  readonly reading: QuickReading;
  readonly room: QuickRoom | undefined;
  /** Grows whenever the line, not the form, changed the room: the form then shows the new one. */
  readonly revision: number;
  readonly typeLine: (line: string) => void;
  readonly setRoom: (room: QuickRoom) => void;
  readonly open: (room: QuickRoom | undefined) => void;
}

/** Keeps the quick line and the form on one room: each redraws the other, and what cannot be read loses nothing. */
export function useDraft(house: Pick<HouseHead, 'unit' | 'hang'>, initial: QuickRoom | undefined): Draft {
  const [line, setLine] = useState(initial ? formatQuickLine(initial, house.unit) : '');
  const [room, setRoomState] = useState(initial);
  const [revision, setRevision] = useState(0);
  const reading = useMemo(() => parseQuickLine(line, house), [line, house]);
  const typeLine = (typed: string) => {
    setLine(typed);
    const next = parseQuickLine(typed, house);
    if (!next.ok) return;
    setRoomState(next.room);
    setRevision((count) => count + 1);
  };
  const setRoom = (next: QuickRoom) => {
    setRoomState(next);
    setLine(formatQuickLine(next, house.unit));
  };
  const open = (next: QuickRoom | undefined) => {
    setRoomState(next);
    setLine(next ? formatQuickLine(next, house.unit) : '');
    setRevision((count) => count + 1);
  };
  return { line, reading, room, revision, typeLine, setRoom, open };
}
