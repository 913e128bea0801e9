import { parseLength } from '@/core/measure/parseLength';
import type { LengthUnit } from '@/core/measure/unit';
import type { Coat } from '@/core/method/coat';
import { coatsFor } from '@/core/method/coatsFor';
import { extraCoatOver } from '@/core/method/extraCoat';
import type { Method } from '@/core/method/resolveMethod';
import { areaWords, roughLength } from '@/words/lengthWords';
import { isJoint } from '@/words/stateWords';
import type { BoardCell, BoardRow } from './boardRows';

/** The cell of the board whose coats are logged. */
export interface Logged {
  readonly row: BoardRow;
  readonly cell: BoardCell;
}

/** The coats of the cell that are not whole yet. */
export function openCoats(
  { row, cell }: Logged,
  method: Method,
): readonly { readonly coat: Coat; readonly share: number; readonly isExtra: boolean }[] {
  const own = coatsFor(cell.class, { ...method, level: row.level });
  const extra = cell.extra && extraCoatOver(own, cell.extra);
  const ladder = extra ? [...own, extra] : own;
  return cell.coats.flatMap(({ key, side, share }) => {
    const coat = ladder.find((candidate) => candidate.key === key && candidate.side === side);
    return coat && share < 1 ? [{ coat, share, isExtra: coat === extra }] : [];
  });
}

export function amountWords({ class: kind, amount }: BoardCell, unit: LengthUnit): string {
  if (kind === 'fasteners') return `${Math.round(amount).toLocaleString('en-US')} to spot`;
  return kind === 'surface' ? areaWords(amount, unit) : `${roughLength(amount, unit)} of joint`;
}

/** The part of the class that a typed length or number is. */
export function partOf(text: string, cell: BoardCell, unit: LengthUnit): number | { readonly reason: string } {
  if (cell.class === 'fasteners') return checkedPart(Number(text) / cell.amount, text);
  const reading = parseLength(text, unit);
  return reading.ok ? checkedPart(reading.mm / cell.amount, text) : { reason: reading.reason };
}

function checkedPart(part: number, text: string): number | { readonly reason: string } {
  if (text.trim() === '' || Number.isNaN(part)) return { reason: 'how much?' };
  return part > 0 && part < 1 ? part : { reason: part >= 1 ? 'that is all of it or more' : 'must be greater than 0' };
}

/** Pieces that are tapped, one by one. */
export const SOME_PIECES = '*pieces';

/** Where a coat can have been put on: everywhere, on all walls or ceilings, on one face, or on joints that are tapped. */
export function wheres({ row, cell }: Logged): readonly (readonly [value: string, words: string])[] {
  const faces = cell.on.flatMap((index) => row.faces[index] ?? []);
  const both = faces.some(({ ceiling }) => ceiling) && faces.some(({ ceiling }) => !ceiling);
  return [
    ['', 'everywhere'],
    ...(both
      ? ([
          [WALLS, 'all but the ceiling'],
          [CEILING, 'the ceiling'],
        ] as const)
      : []),
    ...(isJoint(cell.class) ? [[SOME_PIECES, 'joints that I tap'] as const] : []),
    ...faces.filter(({ ceiling }) => !(ceiling && both)).map(({ id, words }) => [id, words] as const),
  ];
}

/** The faces that are meant; undefined for everywhere. */
export function facesAt(where: string, { row, cell }: Logged): string[] | undefined {
  if (where === '' || where === SOME_PIECES) return undefined;
  const faces = cell.on.flatMap((index) => row.faces[index] ?? []);
  const meant = faces.filter(({ id, ceiling }) =>
    where === WALLS ? !ceiling : where === CEILING ? ceiling : id === where,
  );
  return meant.map(({ id }) => id);
}

const WALLS = '*walls';
const CEILING = '*ceiling';
