'use client';

import { LaidRoom } from '@/ui/room/LaidRoom';
import type { MappedPiece, PieceMap } from '@/ui/room/pieceMap';
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
    <LaidRoom
      map={map}
      title={`The room laid flat: ${own.length} joints to run`}
      className="h-[38dvh] max-h-96"
      onFace={onTap && ((face) => turn(own.filter((piece) => piece.face === face)))}
      draw={() => (
        <>
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
        </>
      )}
    >
      <p className="text-sm text-muted" role="status">
        {tapped.size > 0
          ? `${tapped.size} of ${own.length} tapped`
          : onTap
            ? 'Highlighted joints are this job. Tap what is done if it isn’t all of it.'
            : 'Highlighted joints are this job.'}
      </p>
    </LaidRoom>
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
