import type { Board } from '../hang/board';
import { inRoom } from '../house/faces/face';
import { overlapOf, type Span } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';
import { dot } from '../measure/vector';
import type { RoomEdge } from './roomEdge';

/** The stretches of an edge where a board's tapered edge lies along it. */
export function taperedSpans({ hung: { face, boards }, edge, direction }: RoomEdge): readonly Span[] {
  const [wide, tall] = [Math.abs(edge.to[0] - edge.from[0]), Math.abs(edge.to[1] - edge.from[1])];
  // Along a slope, or round an arch, no factory edge can lie.
  if (face.bent || Math.min(wide, tall) > TOLERANCE_MM) return [];
  const [axis, at] = tall <= wide ? (['v', edge.from[1]] as const) : (['u', edge.from[0]] as const);
  return boards.flatMap((board) => {
    const along = taperedAt(board, axis, at);
    if (!along) return [];
    const stops = [along.from, along.to].map((stop) =>
      dot(inRoom(face, axis === 'v' ? [stop, at] : [at, stop]), direction),
    );
    return [{ from: Math.min(...stops), to: Math.max(...stops) }];
  });
}

function taperedAt(board: Board, axis: 'u' | 'v', at: number): Span | undefined {
  if ((axis === 'v') !== (board.long === 'u')) return undefined;
  const [low, high] = axis === 'v' ? [board.v0, board.v1] : [board.u0, board.u1];
  const here =
    (Math.abs(low - at) <= TOLERANCE_MM && board.lowEdge === 'tapered') ||
    (Math.abs(high - at) <= TOLERANCE_MM && board.highEdge === 'tapered');
  if (!here) return undefined;
  return axis === 'v' ? { from: board.u0, to: board.u1 } : { from: board.v0, to: board.v1 };
}

/** The lengths of an inside angle with a taper along one side and along both; mm. */
export function factoryEdge(
  a: readonly Span[],
  b: readonly Span[],
  shared: Span,
): { readonly one: number; readonly both: number } {
  const within = (spans: readonly Span[], limit: Span) => spans.flatMap((span) => overlapOf(span, limit) ?? []);
  const length = (spans: readonly Span[]) => spans.reduce((sum, { from, to }) => sum + to - from, 0);
  const onA = within(a, shared);
  const onB = within(b, shared);
  const both = length(onA.flatMap((span) => within(onB, span)));
  return { one: Math.max(0, length(onA) + length(onB) - 2 * both), both };
}
