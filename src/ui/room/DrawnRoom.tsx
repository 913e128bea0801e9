'use client';

import type { ReactNode } from 'react';
import type { PieceMap } from './pieceMap';
import { usePieceMap } from './usePieceMap';

/** A room laid flat once it is drawn; until then that it is being drawn, or why it cannot be. */
export function DrawnRoom({
  room,
  draw,
}: {
  /** Its id. */
  readonly room: string;
  readonly draw: (map: PieceMap) => ReactNode;
}) {
  const { map, trouble } = usePieceMap(room);
  if (trouble)
    return (
      <p role="alert" className="text-error">
        {trouble}
      </p>
    );
  return map ? draw(map) : <p role="status">Drawing the room …</p>;
}
