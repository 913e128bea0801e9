'use client';

import { useEffect, useState } from 'react';
import type { HouseHead } from '@/core/house/schema';
import type { Completions } from '@/core/quickline/completeLine';
import type { QuickLineResult } from '@/core/quickline/parseQuickLine';
import type { QuickRoom } from '@/core/room/schema';
import { type TheQuickLine, theQuickLine } from './theQuickLine';

interface DraftState {
  readonly line: string;
  /** Undefined until the line is read. */
  readonly reading: QuickLineResult | undefined;
  readonly room: QuickRoom | undefined;
  readonly revision: number;
  /** Whether somebody changed it here since it was opened or kept. */
  readonly touched: boolean;
  /** The line as the server has it. */
  readonly known: string;
}

/** The room being edited: its line as typed, what the line reads as, and the last room that could be read. */
export interface Draft extends DraftState {
  readonly typeLine: (line: string) => void;
  /** The form writes the line too; what it says there stays in the form as it was typed: `revision` does not grow. */
  readonly writeByForm: (line: string) => void;
  /** Another room, or this one changed elsewhere on the page. */
  readonly open: (room: QuickRoom) => void;
  /** The room as the server has it. */
  readonly take: (room: QuickRoom) => void;
  /** The server has this line now. */
  readonly isKept: (line: string) => void;
  /** An empty line, for the next room. */
  readonly clear: () => void;
  /** What may come next at a place of the line. */
  readonly offersAt: (cursor: number) => Completions;
}

const NO_OFFERS: Completions = { from: 0, options: [] };
/** What reads the line did not come with the page. */
const UNREAD = {
  ok: false,
  reason: 'The server does not answer: the line is read as soon as you type on and it does.',
  mend: undefined,
  at: 0,
  length: 0,
} as const;

/** The draft with what its line reads as; a line that cannot be read leaves the last room that could. */
const readDraft = (now: DraftState, reading: QuickLineResult): DraftState =>
  reading.ok ? { ...now, reading, room: reading.room, revision: now.revision + 1 } : { ...now, reading };

/**
 * Keeps the quick line and the form on one room: each redraws the other, and what cannot be read loses nothing. What is typed
 * before the line can be read is read when it can.
 *
 * @param opened the room that is opened, with its line; a line alone is read as a new room; undefined for an empty line
 */
export function useDraft(
  house: Pick<HouseHead, 'unit' | 'hang'>,
  opened: { readonly room?: QuickRoom; readonly line: string } | undefined,
): Draft {
  const [state, setState] = useState<DraftState>(() => ({
    line: opened?.line ?? '',
    reading: opened?.room && { ok: true, room: opened.room },
    room: opened?.room,
    revision: 0,
    touched: false,
    known: opened?.line ?? '',
  }));
  const [reader, setReader] = useState<TheQuickLine>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, when the page is there
  useEffect(() => {
    theQuickLine().then(
      (came) => {
        setReader(() => came);
        setState((now) => (now.reading ? now : readDraft(now, came.parseQuickLine(now.line, house, now.room))));
      },
      () => undefined,
    );
  }, []);
  const whenRead = (act: (came: TheQuickLine) => void) => {
    if (reader) act(reader);
    else
      theQuickLine().then(
        (came) => {
          setReader(() => came);
          act(came);
        },
        () => setState((now) => ({ ...now, reading: UNREAD })),
      );
  };
  const write = (line: string, byForm: boolean) => {
    setState((now) => ({ ...now, line, reading: undefined, touched: true }));
    whenRead(({ parseQuickLine }) =>
      setState((now) => {
        const next = readDraft(now, parseQuickLine(now.line, house, now.room));
        return byForm ? { ...next, revision: now.revision } : next;
      }),
    );
  };
  const show = (room: QuickRoom, touched: boolean) =>
    whenRead(({ parseQuickLine, formatQuickLine }) => {
      const line = formatQuickLine(room, house.unit);
      const reading = parseQuickLine(line, house, room);
      setState((now) => ({
        line,
        reading,
        room,
        revision: now.revision + 1,
        touched,
        known: touched ? now.known : line,
      }));
    });
  return {
    ...state,
    typeLine: (line) => write(line, false),
    writeByForm: (line) => write(line, true),
    open: (room) => show(room, true),
    take: (room) => show(room, false),
    clear: () =>
      setState((now) => ({
        line: '',
        reading: reader?.parseQuickLine('', house),
        room: undefined,
        revision: now.revision + 1,
        touched: false,
        known: '',
      })),
    isKept: (line) => setState((now) => ({ ...now, known: line, touched: now.line !== line })),
    offersAt: (cursor) => reader?.completionsAt(state.line, cursor, house.unit) ?? NO_OFFERS,
  };
}
