import type { MappedPiece } from './pieceMap';

/** The joints of a room laid flat, thin; one that is chosen stands out. */
export function PieceLines({
  pieces,
  chosen,
}: {
  readonly pieces: readonly MappedPiece[];
  readonly chosen?: string | undefined;
}) {
  return pieces.map(({ id, from, to }) => (
    <line
      key={`${id} ${from.join(' ')}`}
      x1={from[0]}
      y1={from[1]}
      x2={to[0]}
      y2={to[1]}
      className={id === chosen ? 'stroke-primary' : 'stroke-muted'}
      strokeWidth={id === chosen ? 5 : 1.2}
      vectorEffect="non-scaling-stroke"
    />
  ));
}
