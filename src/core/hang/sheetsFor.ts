import { TOLERANCE_MM } from '../measure/unit';
import type { Board, EdgeKind } from './board';

/** How many sheets of one size a room takes; mm. */
export interface SheetCount {
  readonly width: number;
  readonly length: number;
  readonly count: number;
}

interface Piece {
  readonly breadth: number;
  readonly length: number;
  readonly tapers: number;
  readonly stock: Board['stock'];
}

/**
 * The sheets to deliver for the boards of one room, off-cuts used again: what is left of a sheet's length, and what is
 * left of its width with its one taper. Largest pieces first, each into the smallest off-cut that holds it.
 */
export function sheetsFor(boards: readonly Board[]): readonly SheetCount[] {
  const pieces = boards.map(pieceOf).sort((a, b) => b.length * b.breadth - a.length * a.breadth || b.length - a.length);
  const offCuts: Piece[] = [];
  const counts = new Map<string, SheetCount>();
  for (const piece of pieces) {
    const found = smallestThatHolds(offCuts, piece);
    const source = found === undefined ? freshSheet(piece) : offCuts.splice(found, 1)[0];
    if (!source) continue;
    if (found === undefined) {
      const key = `${source.breadth} ${source.length}`;
      counts.set(key, { width: source.breadth, length: source.length, count: (counts.get(key)?.count ?? 0) + 1 });
    }
    offCuts.push(...remainders(source, piece));
  }
  return [...counts.values()].sort((a, b) => a.width - b.width || a.length - b.length);
}

const tapered = (edge: EdgeKind): number => (edge === 'tapered' ? 1 : 0);

function pieceOf({ long, u0, u1, v0, v1, lowEdge, highEdge, stock }: Board): Piece {
  const [length, breadth] = long === 'u' ? [u1 - u0, v1 - v0] : [v1 - v0, u1 - u0];
  return { breadth, length, tapers: tapered(lowEdge) + tapered(highEdge), stock };
}

const freshSheet = ({ stock }: Piece): Piece => ({ breadth: stock.width, length: stock.length, tapers: 2, stock });

function smallestThatHolds(offCuts: readonly Piece[], piece: Piece): number | undefined {
  let best: number | undefined;
  offCuts.forEach((offCut, index) => {
    const sameBreadth = Math.abs(offCut.breadth - piece.breadth) <= TOLERANCE_MM;
    // Both tapers survive only when the whole breadth is used.
    const edges = piece.tapers === 2 ? sameBreadth && offCut.tapers === 2 : offCut.tapers >= piece.tapers;
    const holds =
      edges && offCut.breadth >= piece.breadth - TOLERANCE_MM && offCut.length >= piece.length - TOLERANCE_MM;
    const current = best === undefined ? undefined : offCuts[best];
    if (holds && (!current || offCut.breadth * offCut.length < current.breadth * current.length)) best = index;
  });
  return best;
}

function remainders(source: Piece, piece: Piece): readonly Piece[] {
  const left: Piece[] = [];
  const [length, breadth] = [source.length - piece.length, source.breadth - piece.breadth];
  if (length > TOLERANCE_MM) left.push({ ...source, length });
  if (breadth > TOLERANCE_MM)
    left.push({
      ...source,
      breadth,
      length: piece.length,
      tapers: Math.max(0, source.tapers - Math.max(1, piece.tapers)),
    });
  return left;
}
