'use client';

import { lazy, memo, Suspense, useMemo, useRef, useState } from 'react';
import type { HouseHead } from '@/core/house/schema';
import type { JointClass } from '@/core/joints/joint';
import type { TakeOff } from '@/core/joints/takeOff';
import type { HungCourses, QuickRoom } from '@/core/room/schema';
import { Opening } from '@/ui/Opening';
import { UnrolledRoom } from '@/ui/room/UnrolledRoom';
import { unrollRoom } from '@/ui/room/unroll';
import { faceWords } from '@/words/faceWords';
import { AsSheet } from './AsFile';
import { sheetWords } from './sheetWords';

const HungEditor = lazy(async () => ({ default: (await import('./hung/HungEditor')).HungEditor }));
const FaceSheet = lazy(async () => ({ default: (await import('@/ui/room/FaceSheet')).FaceSheet }));

/** The room laid flat, with a list of its faces of which each can be opened large. */
export const RoomPicture = memo(function RoomPicture({
  result,
  room,
  house,
  lit,
  onLight,
  onHung,
}: {
  readonly result: TakeOff | undefined;
  /** That is drawn. */
  readonly room: QuickRoom | undefined;
  readonly house: HouseHead;
  /** How the boards of a face really hang; nothing for who may not say it. */
  readonly onHung: ((face: string, hung: HungCourses | undefined) => void) | undefined;
  readonly lit: JointClass | undefined;
  readonly onLight: (kind: JointClass | undefined) => void;
}) {
  const unrolled = useMemo(() => result && unrollRoom(result), [result]);
  const { unit } = house;
  const [openedFace, openFace] = useState<string>();
  const drawn = useRef<HTMLDivElement>(null);
  const [asHung, setAsHung] = useState(false);
  const close = () => {
    openFace(undefined);
    setAsHung(false);
  };
  const opened = result?.faces.find(({ face }) => face.id === openedFace);
  if (!unrolled || !result)
    return (
      <p className="grid min-h-80 flex-1 place-items-center rounded-2xl border border-dashed border-base-300 p-6 text-center text-muted">
        Type a room above: its name, length x width x height, then its doors and windows. The picture follows as you
        type; “?” shows the grammar.
      </p>
    );
  const ceilings = result.faces.filter(({ face }) => face.kind === 'ceiling').length;
  return (
    <div ref={drawn} className="relative flex min-h-96 flex-1 flex-col">
      <h2 className="hidden print:block">{room?.name}</h2>
      <UnrolledRoom
        room={unrolled}
        lit={lit}
        onLight={onLight}
        onOpen={openFace}
        className="min-h-96 w-full flex-1 print:min-h-[60vh]"
      >
        <label className="mr-auto">
          <span className="sr-only">Open a face large</span>
          <select className="select w-44" value="" onChange={({ target }) => openFace(target.value || undefined)}>
            <option value="">Open a face …</option>
            {result.faces.map(({ face }) => (
              <option key={face.id} value={face.id}>
                {faceWords(face.place, ceilings)}
              </option>
            ))}
          </select>
        </label>
        <AsSheet
          name={room?.name ?? 'room'}
          of={() => drawn.current?.querySelector<SVGSVGElement>('svg[role="img"]') ?? null}
          words={() => sheetWords(result.tally, room, house)}
        />
      </UnrolledRoom>
      {room?.note && (
        <p className="mt-2">
          <b className="font-semibold">Note:</b> {room.note}
        </p>
      )}
      {opened && (
        <Suspense fallback={<Opening />}>
          {asHung && room && onHung ? (
            <HungEditor
              house={house}
              room={room}
              face={opened.face.id}
              onKeep={(hung) => onHung(opened.face.id, hung)}
              close={close}
            />
          ) : (
            <FaceSheet
              hung={opened}
              joints={result.joints}
              unit={unit}
              onHung={onHung && opened.boards.length > 0 ? () => setAsHung(true) : undefined}
              onClose={close}
            />
          )}
        </Suspense>
      )}
    </div>
  );
});
