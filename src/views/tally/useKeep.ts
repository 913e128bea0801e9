'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { useSend } from '@/client/useSend';
import type { VersionedRoom } from '@/contract/commands';
import type { HouseHead } from '@/core/house/schema';
import { keepPlace } from '@/core/quickline/keepPlace';
import type { QuickRoom, Room } from '@/core/room/schema';
import { theQuickLine } from './theQuickLine';
import type { Draft } from './useDraft';
import { type KeptDraft, useKeptDraft } from './useKeptDraft';
import type { NewRooms } from './useNewRooms';
import { useUnsavedLines } from './useUnsavedLines';

/** Where no server answers it is asked again so often. */
const AGAIN_MS = 5000;

const SENT_AGAIN = 'No connection. Saved on this device; it will send by itself.';

export interface KeepState {
  readonly busy: boolean;
  readonly failed: boolean;
  readonly message: string | undefined;
  /** What was typed here before and the server never had. */
  readonly left: KeptDraft | undefined;
  readonly restore: () => void;
  readonly discard: () => void;
  /** The newer version that stopped a save. */
  readonly theirs: VersionedRoom | undefined;
  readonly takeTheirs: () => void;
}

/** What was to be kept while no server answered. */
interface Unsent {
  readonly room: QuickRoom;
  readonly line: string;
  readonly version: number;
}

/**
 * Keeps the draft: a new room is sent while the next one is typed, a known one saved over the version that was opened, never over a
 * newer one. Until then it stays on this device. A known room that no server took is sent again by itself: the same again changes nothing.
 */
export function useKeep({
  me,
  house,
  rooms,
  current,
  draft,
  newRooms,
}: {
  readonly me: string;
  readonly house: Pick<HouseHead, 'unit' | 'hang'>;
  /** Of the house. */
  readonly rooms: readonly Room[];
  readonly current: VersionedRoom | undefined;
  readonly draft: Draft;
  readonly newRooms: NewRooms;
}) {
  const { id: houseId } = useHouse();
  const router = useRouter();
  const { send: sendIt, busy } = useSend();
  const [said, setSaid] = useState<{ readonly text: string; readonly failed: boolean }>();
  const [theirs, setTheirs] = useState<VersionedRoom>();
  const [version, setVersion] = useState(current?.version ?? 0);
  const [unsent, setUnsent] = useState<Unsent>();
  const { left: kept, leave, forget } = useKeptDraft(me, current?.room.id, version, draft, newRooms.lines);
  const unsaved = useUnsavedLines(me, current ? undefined : kept, house, rooms);
  const left = current ? kept : unsaved;
  const { unit } = house;

  // The room changed under an editor who has typed nothing: moved to another floor, or kept elsewhere.
  const shown = useRef(current);
  const typed = useRef(draft.line);
  typed.current = draft.line;
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new version decides, not the draft
  useEffect(() => {
    const before = shown.current;
    shown.current = current;
    if (!current || !before || current.version === version) return;
    theQuickLine().then(
      ({ formatQuickLine }) => {
        if (typed.current !== formatQuickLine(before.room, unit)) return;
        draft.take(current.room);
        setVersion(current.version);
      },
      () => undefined,
    );
  }, [current?.version]);

  // What was said of a room is about that state of the line only.
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new line makes the message old
  useEffect(() => setSaid(undefined), [draft.line]);

  async function send({ room, line, version: overVersion }: Unsent): Promise<void> {
    if (!current) {
      newRooms.save([{ line, room }]);
      return draft.clear();
    }
    const answer = await sendIt('saveRoom', {
      house: houseId,
      version: overVersion,
      // The line says everything but which room it is and where it stands.
      room: { ...room, id: current.room.id, ...keepPlace(current.room, room, unit) },
    });
    if (!answer) return;
    const isLost = !answer.ok && answer.kind === 'lost';
    setUnsent(isLost ? { room, line, version: overVersion } : undefined);
    if (isLost) return setSaid({ text: SENT_AGAIN, failed: true });
    if (!answer.ok) return setSaid({ text: answer.problems[0]?.reason ?? answer.message, failed: true });
    if (answer.value.kind === 'stale') {
      const { theirs } = answer.value;
      const { formatQuickLine } = await theQuickLine();
      // It had arrived before; only the answer had not.
      if (formatQuickLine(theirs.room, unit) !== formatQuickLine(room, unit)) return setTheirs(theirs);
      setVersion(theirs.version);
    } else setVersion(answer.value.version);
    forget();
    draft.isKept(line);
    setTheirs(undefined);
    setSaid({ text: 'Saved.', failed: false });
    router.refresh();
  }
  const [asked, setAsked] = useState<number>();
  const keepOver = (overVersion: number) => {
    if (draft.reading?.ok) void send({ room: draft.reading.room, line: draft.line, version: overVersion });
    // What reads the line is on its way.
    else setAsked(draft.reading ? undefined : overVersion);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: once the line is read, by what was asked for then
  useEffect(() => {
    if (asked === undefined || !draft.reading) return;
    setAsked(undefined);
    keepOver(asked);
  }, [asked, draft.reading]);
  const sendAgain = useRef(() => {});
  sendAgain.current = () => {
    if (unsent) void send(unsent);
  };
  useEffect(() => {
    if (!unsent) return;
    const again = () => sendAgain.current();
    const timer = setInterval(again, AGAIN_MS);
    addEventListener('online', again);
    return () => {
      clearInterval(timer);
      removeEventListener('online', again);
    };
  }, [unsent]);

  const state: KeepState = {
    busy,
    failed: said?.failed ?? false,
    message: said?.text,
    theirs,
    takeTheirs: () => {
      if (!theirs) return;
      setVersion(theirs.version);
      draft.take(theirs.room);
      forget();
      setTheirs(undefined);
    },
    left,
    restore: () => {
      if (!left) return;
      if (current) setVersion(left.version);
      const [first = '', ...more] = left.line.split('\n');
      if (more.length > 0) newRooms.addLines([first, ...more]);
      else draft.typeLine(first);
      leave();
    },
    discard: forget,
  };
  return { keep: () => keepOver(version), keepMine: () => theirs && keepOver(theirs.version), state };
}
