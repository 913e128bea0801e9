'use client';

import { X } from 'lucide-react';
import type { HungFace } from '@/core/hang/hangRoom';
import type { Joint } from '@/core/joints/joint';
import type { LengthUnit } from '@/core/measure/unit';
import { areaOf } from '@/core/room/faces/face';
import { faceWords } from '@/words/faceWords';
import { areaWords, lengthWords, sizeWords } from '@/words/lengthWords';
import { Dialog } from '../Dialog';
import { JointLine } from './JointLine';
import { Label, LaidFaceDrawing } from './LaidFaceDrawing';
import { laidAlone } from './laidAlone';
import { pageLength } from './unroll';

/** One face alone and large: its boards with their sizes, its joints with their lengths. */
export function FaceSheet({
  hung,
  joints,
  unit,
  onHung,
  onClose,
}: {
  readonly hung: HungFace;
  readonly joints: readonly Joint[];
  readonly unit: LengthUnit;
  /** Goes on to how its boards really hang; nothing for who may not say it, or where there is no new board. */
  readonly onHung?: (() => void) | undefined;
  readonly onClose: () => void;
}) {
  const { face, boards } = hung;
  const text = Math.max(face.width, face.height * 1.5) / 42;
  const margin = text * 2.4;
  const lines = joints.flatMap((joint) =>
    joint.lines.flatMap((line) =>
      line.face === face.id
        ? [
            {
              joint: joint.id,
              class: joint.class,
              tapedOnly: joint.tapedOnly,
              bevelled: joint.bevelled,
              from: line.from,
              to: line.to,
            },
          ]
        : [],
    ),
  );
  const laid = laidAlone(hung, ({ kind, u0, u1, v0, v1 }) => `${kind} ${sizeWords(u1 - u0, v1 - v0, unit)}`);
  return (
    <Dialog
      title={`${faceWords(face.place)}, ${areaWords(areaOf(face), unit)}${face.existing ? ', old' : ''}`}
      close={onClose}
      className="relative flex max-h-[92dvh] w-[min(96vw,80rem)] max-w-none flex-col gap-2"
    >
      {onHung && (
        <button type="button" className="btn absolute top-4 right-20" onClick={onHung}>
          As built …
        </button>
      )}
      <form method="dialog" className="absolute top-4 right-4">
        <button type="submit" className="btn btn-square" aria-label="Close">
          <X className="size-5" aria-hidden="true" />
        </button>
      </form>
      <svg
        viewBox={`${-margin} ${-margin} ${face.width + 2 * margin} ${face.height + 2 * margin}`}
        className="max-h-[72dvh] min-h-48 w-full flex-1"
        role="img"
        aria-label={`${faceWords(face.place)} with its boards and joints`}
      >
        <LaidFaceDrawing laid={laid} text={text} />
        {lines.map((line) => (
          <JointLine key={`${line.joint} ${line.from.join(' ')}`} line={line} />
        ))}
        {boards.map((board) => (
          <Label
            key={`${board.u0} ${board.v0}`}
            at={[(board.u0 + board.u1) / 2, board.v0 + (board.v1 - board.v0) * 0.3]}
            size={text * 0.9}
            words={sizeWords(
              Math.min(board.u1 - board.u0, board.v1 - board.v0),
              Math.max(board.u1 - board.u0, board.v1 - board.v0),
              unit,
            )}
          />
        ))}
        {lines
          .filter(({ from, to }) => pageLength(from, to) > text * 3)
          .map(({ joint, from, to }) => (
            <Label
              key={`length ${joint} ${from.join(' ')}`}
              at={[from[0] + (to[0] - from[0]) * 0.6, from[1] + (to[1] - from[1]) * 0.6]}
              size={text * 0.85}
              words={lengthWords(pageLength(from, to), unit)}
            />
          ))}
      </svg>
    </Dialog>
  );
}
