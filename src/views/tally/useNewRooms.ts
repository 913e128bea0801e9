'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { sendCommand } from '@/client/sendCommand';
import type { QuickRoom } from '@/core/room/schema';
import { forgetLines } from './useKeptDraft';

const NO_ANSWER = 'No connection. The room is on this device: save it again when there is one.';

/** A room that was typed and that the server does not have. */
export interface UnsavedRoom {
  readonly key: string;
  readonly line: string;
  /** The line as it was read; undefined where it cannot be read. */
  readonly room: QuickRoom | undefined;
  /** The reason why the server did not save it. */
  readonly message?: string;
}

/** A room that can be saved. */
type ReadRoom = UnsavedRoom & { readonly room: QuickRoom };

interface SavedRoom {
  readonly id: string;
  readonly room: QuickRoom;
}

/** The new rooms of an open Tally: those that are typed below each other, and those on their way to the server. */
export interface NewRooms {
  readonly unsaved: readonly UnsavedRoom[];
  /** The lines that the server does not have yet, those on their way included. */
  readonly lines: readonly string[];
  readonly isSaving: boolean;
  /** The room that was saved last. */
  readonly saved: SavedRoom | undefined;
  /** Grows with every room that was sent. */
  readonly sent: number;
  readonly save: (rooms: readonly { readonly line: string; readonly room: QuickRoom }[]) => void;
  readonly saveAll: () => void;
  readonly addLines: (lines: readonly string[]) => void;
  readonly change: (key: string, line: string, room: QuickRoom | undefined) => void;
  readonly remove: (key: string) => void;
}

const newKey = (): string => crypto.randomUUID();
const canSave = (entry: UnsavedRoom): entry is ReadRoom => entry.room !== undefined;

/**
 * Saves new rooms one after the other while the next one is typed; what was not saved comes back as a line.
 *
 * @param me who types
 */
export function useNewRooms(me: string): NewRooms {
  const { id: house } = useHouse();
  const router = useRouter();
  const [unsaved, setUnsaved] = useState<readonly UnsavedRoom[]>([]);
  const [sending, setSending] = useState<readonly ReadRoom[]>([]);
  const [saved, setSaved] = useState<SavedRoom>();
  const [sent, setSent] = useState(0);
  const queue = useRef(Promise.resolve());

  async function send(rooms: readonly ReadRoom[]): Promise<void> {
    const answer = await sendCommand('addRooms', { house, rooms: rooms.map(({ room }) => room) }).catch(
      () => undefined,
    );
    const keys = new Set(rooms.map(({ key }) => key));
    setSending((before) => before.filter(({ key }) => !keys.has(key)));
    if (answer?.ok) {
      forgetLines(
        me,
        house,
        rooms.map(({ line }) => line),
      );
      const [id, last] = [answer.value.ids.at(-1), rooms.at(-1)];
      if (id && last) setSaved({ id, room: last.room });
      router.refresh();
      return;
    }
    const problems = answer?.problems ?? [];
    const messageOf = (index: number): string =>
      problems.find(({ path }) => path.startsWith(`rooms[${index}].`))?.reason ?? answer?.message ?? NO_ANSWER;
    const refused = rooms.map((entry, index) => ({ ...entry, message: messageOf(index) }));
    setUnsaved((before) => [...refused, ...before]);
  }
  const start = (rooms: readonly ReadRoom[]): void => {
    if (rooms.length === 0) return;
    const keys = new Set(rooms.map(({ key }) => key));
    setUnsaved((before) => before.filter(({ key }) => !keys.has(key)));
    setSending((before) => [...before, ...rooms]);
    setSent((before) => before + rooms.length);
    queue.current = queue.current.then(() => send(rooms));
  };
  return {
    unsaved,
    lines: [...sending, ...unsaved].map(({ line }) => line),
    isSaving: sending.length > 0,
    saved,
    sent,
    save: (rooms) => start(rooms.map((entry) => ({ ...entry, key: newKey() }))),
    saveAll: () => start(unsaved.filter(canSave)),
    addLines: (lines) =>
      setUnsaved((before) => [...before, ...lines.map((line) => ({ key: newKey(), line, room: undefined }))]),
    change: (key, line, room) =>
      setUnsaved((before) =>
        before.map((entry) => {
          if (entry.key !== key) return entry;
          // What the server said was about the line as it was.
          return entry.line === line ? { ...entry, room } : { key, line, room };
        }),
      ),
    remove: (key) => setUnsaved((before) => before.filter((entry) => entry.key !== key)),
  };
}
