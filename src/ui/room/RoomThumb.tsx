'use client';

import { useMemo } from 'react';
import type { TakeOff } from '@/core/joints/takeOff';
import { JointLine } from './JointLine';
import { LaidFaceDrawing } from './LaidFaceDrawing';
import { unrollRoom } from './unroll';

/** A small picture of a room laid flat, without words. */
export function RoomThumb({
  result,
  title,
  className,
}: {
  readonly result: TakeOff;
  readonly title: string;
  readonly className: string;
}) {
  const { box, faces, lines, text } = useMemo(() => unrollRoom(result), [result]);
  return (
    <svg
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      className={`[&_path]:[stroke-width:1px] ${className}`}
      role="img"
      aria-label={title}
    >
      {faces.map((laid) => (
        <LaidFaceDrawing key={laid.face.id} laid={laid} text={text} />
      ))}
      {lines.map((line) => (
        <JointLine key={`${line.joint} ${line.from.join(' ')}`} line={line} />
      ))}
    </svg>
  );
}
