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
  /** Grows whenever something other than the form changed the line: the form then shows the new room. */
  readonly revision: number;
  readonly typeLine: (line: string) => void;
  /** The form writes the line too; what it says there stays in the form as it was typed. */
  readonly writeByForm: (line: string) => void;
  readonly open: (room: QuickRoom | undefined) => void;
}

/** Keeps the quick line and the form on one room: each redraws the other, and what cannot be read loses nothing. */
export function useDraft(house: Pick<HouseHead, 'unit' | 'hang'>, initial: QuickRoom | undefined): Draft {
  const [line, setLine] = useState(initial ? formatQuickLine(initial, house.unit) : '');
  const [room, setRoom] = useState(initial);
  const [revision, setRevision] = useState(0);
  const reading = useMemo(() => parseQuickLine(line, house), [line, house]);
  const write = (typed: string): boolean => {
    setLine(typed);
    const next = parseQuickLine(typed, house);
    if (next.ok) setRoom(next.room);
    return next.ok;
  };
  const typeLine = (typed: string) => {
    if (write(typed)) setRevision((count) => count + 1);
  };
  const open = (next: QuickRoom | undefined) => {
    setRoom(next);
    setLine(next ? formatQuickLine(next, house.unit) : '');
    setRevision((count) => count + 1);
  };
  return { line, reading, room, revision, typeLine, writeByForm: (typed) => void write(typed), open };
}
