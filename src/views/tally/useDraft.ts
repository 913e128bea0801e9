'use client';

import { useState } from 'react';
import type { HouseHead } from '@/core/house/schema';
import { formatQuickLine } from '@/core/quickline/formatQuickLine';
import { parseQuickLine, type QuickLineResult } from '@/core/quickline/parseQuickLine';
import type { QuickRoom } from '@/core/room/schema';

interface DraftState {
  readonly line: string;
  readonly reading: QuickLineResult;
  readonly room: QuickRoom | undefined;
  readonly revision: number;
}

/** The room being edited: its line as typed, what the line reads as, and the last room that could be read. */
export interface Draft extends DraftState {
  readonly typeLine: (line: string) => void;
  /** The form writes the line too; what it says there stays in the form as it was typed: `revision` does not grow. */
  readonly writeByForm: (line: string) => void;
  readonly open: (room: QuickRoom | undefined) => void;
}

/** Keeps the quick line and the form on one room: each redraws the other, and what cannot be read loses nothing. */
export function useDraft(house: Pick<HouseHead, 'unit' | 'hang'>, initial: QuickRoom | undefined): Draft {
  const opened = (room: QuickRoom | undefined, revision: number): DraftState => {
    const line = room ? formatQuickLine(room, house.unit) : '';
    return { line, reading: parseQuickLine(line, house, room), room, revision };
  };
  const [state, setState] = useState(() => opened(initial, 0));
  const write = (line: string, byForm: boolean) =>
    setState((now) => {
      const reading = parseQuickLine(line, house, now.room);
      if (!reading.ok) return { ...now, line, reading };
      return { line, reading, room: reading.room, revision: byForm ? now.revision : now.revision + 1 };
    });
  return {
    ...state,
    typeLine: (line) => write(line, false),
    writeByForm: (line) => write(line, true),
    open: (room) => setState((now) => opened(room, now.revision + 1)),
  };
}
