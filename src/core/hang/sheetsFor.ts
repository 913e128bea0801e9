import { TOLERANCE_MM } from '../measure/unit';
import type { HangPlan } from '../room/resolveHang';
import type { Board } from './board';

/** How many sheets of one size a room takes; mm. */
export interface SheetCount {
  readonly width: number;
  readonly length: number;
  readonly count: number;
}

/** A piece of board to be cut; of its two long edges so many carry the factory's taper. */
interface Piece {
  readonly breadth: number;
  readonly length: number;
  readonly tapers: number;
}

/** A piece of sheet as broad as its stock: one whole board, or rips that lie side by side. */
interface Bar {
  readonly length: number;
  /** What is left of its breadth beside the rips, and how many tapers with it. */
  breadth: number;
  tapers: number;
}

/** Sheets of one width and the lengths that they come in, longest last. */
interface Stock {
  readonly width: number;
  readonly lengths: readonly number[];
}

/** A sheet that is being cut, and what is left of its length. */
interface Sheet {
  left: number;
  readonly length: number;
}

/**
 * The sheets to deliver for the boards of one room: rips share a sheet's breadth, one taper each, and pieces a sheet's
 * length. Cut from longest to shortest; every mix of stock lengths that the pieces allow is tried for the next sheet, and
 * the fewest sheets (or the least area) kept.
 *
 * @param aim fewest sheets where boards are aimed for, else the least board
 */
export function sheetsFor(boards: readonly Board[], aim: HangPlan['aim'] = 'joints'): readonly SheetCount[] {
  const stocks = new Map<number, { readonly lengths: Set<number>; readonly pieces: Piece[] }>();
  for (const board of boards) {
    const stock = stocks.get(board.stock.width) ?? { lengths: new Set(), pieces: [] };
    for (const length of board.stock.lengths) stock.lengths.add(length);
    stock.pieces.push(pieceOf(board));
    stocks.set(board.stock.width, stock);
  }
  return [...stocks]
    .flatMap(([width, { lengths, pieces }]) => {
      const stock: Stock = { width, lengths: [...lengths].sort((a, b) => a - b) };
      return cut(barsOf(pieces, stock), stock, aim);
    })
    .sort((a, b) => a.width - b.width || a.length - b.length);
}

function pieceOf({ long, u0, u1, v0, v1, lowEdge, highEdge }: Board): Piece {
  const [length, breadth] = long === 'u' ? [u1 - u0, v1 - v0] : [v1 - v0, u1 - u0];
  return { breadth, length, tapers: [lowEdge, highEdge].filter((edge) => edge === 'tapered').length };
}

/** Whole boards as they are; rips from the longest, each beside another one where there is room and a taper for it. */
function barsOf(pieces: readonly Piece[], { width }: Stock): readonly Bar[] {
  const bars: Bar[] = [];
  for (const { length, breadth, tapers } of [...pieces].sort((a, b) => b.length - a.length || b.breadth - a.breadth)) {
    const beside = bars
      .filter((bar) => bar.breadth >= breadth - TOLERANCE_MM && bar.tapers >= tapers)
      .reduce<Bar | undefined>((best, bar) => (best && best.breadth <= bar.breadth ? best : bar), undefined);
    if (beside && breadth < width - TOLERANCE_MM) {
      beside.breadth -= breadth;
      beside.tapers -= tapers;
    } else bars.push({ length, breadth: width - breadth, tapers: Math.max(0, 2 - Math.max(1, tapers)) });
  }
  return bars;
}

/** The sheets that bars are cut from: the best of what first-fit makes of each longest length, each sheet as short as it can be. */
function cut(bars: readonly Bar[], { width, lengths }: Stock, aim: HangPlan['aim']): readonly SheetCount[] {
  const longestFirst = bars.map(({ length }) => length).sort((a, b) => b - a);
  const ways = lengths.map((most) => shortened(firstFit(longestFirst, most, lengths), lengths));
  const best = ways.reduce((a, b) => (worth(b, aim) < worth(a, aim) ? b : a));
  const counts = new Map<number, number>();
  for (const length of best) counts.set(length, (counts.get(length) ?? 0) + 1);
  return [...counts].map(([length, count]) => ({ width, length, count }));
}

/** Sheets filled one after the other, each piece into the sheet that it fills best; a longer piece takes a longer sheet. */
function firstFit(longestFirst: readonly number[], most: number, lengths: readonly number[]): readonly Sheet[] {
  const sheets: Sheet[] = [];
  for (const length of longestFirst) {
    const fits = sheets.filter(({ left }) => left >= length - TOLERANCE_MM);
    const tightest = fits.reduce<Sheet | undefined>((a, b) => (a && a.left <= b.left ? a : b), undefined);
    if (tightest) tightest.left -= length;
    else {
      const size = length <= most + TOLERANCE_MM ? most : (lengths.find((own) => own >= length - TOLERANCE_MM) ?? most);
      sheets.push({ length: size, left: size - length });
    }
  }
  return sheets;
}

/** The shortest stock that holds what is cut from each sheet. */
const shortened = (sheets: readonly Sheet[], lengths: readonly number[]): readonly number[] =>
  sheets.map(({ length, left }) => lengths.find((own) => own >= length - left - TOLERANCE_MM) ?? length);

/** Fewest sheets first, or least board first. */
function worth(sheets: readonly number[], aim: HangPlan['aim']): number {
  const length = sheets.reduce((sum, own) => sum + own, 0);
  return aim === 'boards' ? sheets.length * 1e7 + length : length + sheets.length * 1e-3;
}
