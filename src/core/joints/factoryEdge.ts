import type { Board } from '../hang/board';
import { overlaps, type Span, totalLength } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';
import { dot } from '../measure/vector';
import type { RoomEdge } from '../room/faces/corners';
import { inRoom } from '../room/faces/face';
import { NO_FACTORY_EDGE } from './joint';

/** The stretches of an edge where a board's tapered edge lies along it. */
export function taperedSpans({ face, edge, direction }: RoomEdge, boards: readonly Board[]): readonly Span[] {
  const [wide, tall] = [Math.abs(edge.to[0] - edge.from[0]), Math.abs(edge.to[1] - edge.from[1])];
  // Along a slope, or round an arch, no factory edge can lie.
  if (face.bent || Math.min(wide, tall) > TOLERANCE_MM) return [];
  const [axis, at] = tall <= wide ? (['v', edge.from[1]] as const) : (['u', edge.from[0]] as const);
  const onLine = (stop: number) => dot(inRoom(face, axis === 'v' ? [stop, at] : [at, stop]), direction);
  const spans: Span[] = [];
  for (const board of boards) {
    const along = taperedAt(board, axis, at);
    if (!along) continue;
    const [one, other] = [onLine(along.from), onLine(along.to)];
    spans.push({ from: Math.min(one, other), to: Math.max(one, other) });
  }
  return spans;
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
  if (a.length === 0 && b.length === 0) return NO_FACTORY_EDGE;
  const onA = overlaps(a, [shared]);
  const onB = overlaps(b, [shared]);
  const both = totalLength(overlaps(onA, onB));
  return { one: Math.max(0, totalLength(onA) + totalLength(onB) - 2 * both), both };
}
