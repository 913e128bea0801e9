'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { useSend } from '@/client/useSend';
import type { VersionedRoom } from '@/contract/commands';
import type { LengthUnit } from '@/core/measure/unit';
import { keepPlace } from '@/core/quickline/keepPlace';
import { theQuickLine } from './theQuickLine';
import type { Draft } from './useDraft';

interface KeepState {
  readonly busy: boolean;
  readonly failed: boolean;
  readonly message: string | undefined;
  /** The newer version that stopped a save. */
  readonly theirs: VersionedRoom | undefined;
  readonly takeTheirs: () => void;
}

/** Keeps the draft: a new room is added, a known one saved over the version that was opened, never over a newer one. */
export function useKeep({
  unit,
  current,
  draft,
}: {
  readonly unit: LengthUnit;
  readonly current: VersionedRoom | undefined;
  readonly draft: Draft;
}) {
  const { id: houseId } = useHouse();
  const router = useRouter();
  const { send: sendIt, busy } = useSend();
  const [said, setSaid] = useState<{ readonly text: string; readonly failed: boolean }>();
  const [theirs, setTheirs] = useState<VersionedRoom>();
  const [version, setVersion] = useState(current?.version ?? 0);

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
        draft.open(current.room);
        setVersion(current.version);
      },
      () => undefined,
    );
  }, [current?.version]);

  // What was said of a room is about that state of the line only.
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new line makes the message old
  useEffect(() => setSaid(undefined), [draft.line]);

  async function send(overVersion: number): Promise<void> {
    if (!draft.reading?.ok) return;
    const { room } = draft.reading;
    const answer = current
      ? await sendIt('saveRoom', {
          house: houseId,
          version: overVersion,
          // The line says everything but which room it is and where it stands.
          room: {
            ...room,
            id: current.room.id,
            ...keepPlace(current.room, room, unit),
          },
        })
      : await sendIt('addRoom', { house: houseId, room });
    if (!answer) return;
    if (!answer.ok) return setSaid({ text: answer.problems[0]?.reason ?? answer.message, failed: true });
    if ('id' in answer.value) return router.push(`/h/${houseId}/tally?room=${answer.value.id}`);
    if (answer.value.kind === 'stale') return setTheirs(answer.value.theirs);
    setVersion(answer.value.version);
    setTheirs(undefined);
    setSaid({ text: 'Kept.', failed: false });
    router.refresh();
  }

  const state: KeepState = {
    busy,
    failed: said?.failed ?? false,
    message: said?.text,
    theirs,
    takeTheirs: () => {
      if (!theirs) return;
      setVersion(theirs.version);
      draft.open(theirs.room);
      setTheirs(undefined);
    },
  };
  return { keep: () => void send(version), keepMine: () => void (theirs && send(theirs.version)), state };
}
