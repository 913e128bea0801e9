'use client';

import { useRef } from 'react';
import { Label, LaidFaceDrawing } from '@/ui/room/LaidFaceDrawing';
import type { MappedPiece, PieceMap } from '@/ui/room/pieceMap';
import { usePanZoom } from '@/ui/room/usePanZoom';
import { ZoomButtons } from '@/ui/room/ZoomButtons';
import type { CoatToLog } from './jobCoats';

/** The joints of a room that some coats go on now. */
export const jobPieces = ({ pieces }: PieceMap, coats: readonly CoatToLog[]): readonly MappedPiece[] =>
  pieces.filter((piece) => coats.some((own) => goesOn(own, piece)));

/** Whether a coat goes on a piece now. */
export const goesOn = ({ coat, pieces }: CoatToLog, piece: MappedPiece): boolean =>
  piece.class === coat.class &&
  (coat.side === undefined || piece.sides.includes(coat.side)) &&
  !piece.has.includes(coat.id) &&
  (pieces?.includes(piece.id) ?? true);

/** The room laid flat: what is run now stands out, the rest is faint. What is done already can be tapped, a face takes all of its own. */
export function JobPicture({
  map,
  own,
  tapped,
  onTap,
}: {
  readonly map: PieceMap;
  /** See `jobPieces`. */
  readonly own: readonly MappedPiece[];
  readonly tapped: ReadonlySet<string>;
  /** Undefined where nothing is to be tapped. */
  readonly onTap: ((tapped: ReadonlySet<string>) => void) | undefined;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const margin = map.text * 1.2;
  const { viewBox, scale, zoom, fit } = usePanZoom(svg, {
    x: map.box.x - margin,
    y: map.box.y - margin,
    width: map.box.width + 2 * margin,
    height: map.box.height + 2 * margin,
  });
  const text = map.text / scale ** 0.7;
  const bright = new Set(own.map(({ id }) => id));
  const turn = (some: readonly MappedPiece[]) => {
    if (!onTap || some.length === 0) return;
    const next = new Set(tapped);
    const all = some.every(({ id }) => next.has(id));
    for (const { id } of some) {
      if (all) next.delete(id);
      else next.add(id);
    }
    onTap(next);
  };
  return (
    <div>
      <svg
        ref={svg}
        viewBox={viewBox}
        role="img"
        aria-label={`The room laid flat: ${own.length} joints to run`}
        className={`h-[38dvh] max-h-96 w-full rounded-2xl bg-base-200 ${scale > 1 ? 'touch-none' : 'touch-pan-y'}`}
      >
        {map.faces.map((laid) => (
          <LaidFaceDrawing
            key={laid.face.id}
            laid={laid}
            text={text}
            {...(onTap ? { onOpen: () => turn(own.filter(({ face }) => face === laid.face.id)) } : {})}
          />
        ))}
        {map.faces.map((laid) =>
          laid.clear > text ? <Label key={laid.face.id} at={laid.label} size={text * 0.9} words={laid.words} /> : null,
        )}
        {map.pieces
          .filter(({ id }) => !bright.has(id))
          .map((piece) => (
            <line
              key={`${piece.id} ${piece.from.join(' ')}`}
              {...lineOf(piece)}
              className="stroke-base-content"
              strokeWidth={1}
              opacity={0.25}
            />
          ))}
        {own.map((piece) => (
          // biome-ignore lint/a11y/noStaticElementInteractions: the halves and the board beside it say the same by keys
          <g key={`${piece.id} ${piece.from.join(' ')}`} onClick={() => turn([piece])} data-job-piece={piece.id}>
            <line {...lineOf(piece)} stroke="transparent" strokeWidth={26} />
            <line
              {...lineOf(piece)}
              className={tapped.has(piece.id) ? 'stroke-moss' : 'stroke-primary'}
              strokeWidth={tapped.has(piece.id) ? 7 : 3}
              strokeDasharray={tapped.has(piece.id) ? '2 9' : undefined}
              strokeLinecap="round"
            />
          </g>
        ))}
      </svg>
      <div className="mt-1 flex items-center gap-2">
        <p className="flex-1 text-sm text-muted" role="status">
          {tapped.size > 0
            ? `${tapped.size} of ${own.length} tapped`
            : onTap
              ? 'Bright is for now. Tap what is done, if it is not all.'
              : 'Bright is for now.'}
        </p>
        <ZoomButtons scale={scale} zoom={zoom} fit={fit} />
      </div>
    </div>
  );
}

const lineOf = ({ from, to, shift, sides }: MappedPiece) => {
  // Two sides of an angle lie beside each other.
  const [x, y] = sides.length < 4 ? shift : [0, 0];
  return {
    x1: from[0] + x,
    y1: from[1] + y,
    x2: to[0] + x,
    y2: to[1] + y,
    vectorEffect: 'non-scaling-stroke' as const,
  };
};
