import type { LengthUnit } from '../measure/unit';
import type { HangChoices } from '../room/schema';
import { hangItems } from './itemsOf';
import { writeLine } from './lineItems';
import { parseQuickLine } from './parseQuickLine';

/** Any room will do to read what is said of boards. */
const ANY_ROOM = { in: "House: 12' x 12' x 8'", mm: 'House: 3600 x 3600 x 2400' } as const;

/** How a house is hung, as the items of a quick line: `walls upright, boards 54x12', framing 24`. */
export const hangText = (hang: HangChoices, unit: LengthUnit): string =>
  writeLine('', hangItems(hang, unit)).line.replace(/^, /, '');

export type HangResult =
  | { readonly ok: true; readonly hang: HangChoices }
  | { readonly ok: false; readonly reason: string };

/**
 * Reads what `hangText` writes: items about boards only.
 *
 * @example readHangText('framing 24, walls upright', 'in')  // { ok: true, hang: { framing: 24, walls: 'upright' } }
 */
export function readHangText(text: string, unit: LengthUnit): HangResult {
  const items = text.trim() === '' ? '' : `, ${text}`;
  const reading = parseQuickLine(ANY_ROOM[unit] + items, { unit, hang: {} });
  if (!reading.ok) return { ok: false, reason: reading.reason };
  const {
    hang = {},
    name: _name,
    outline: _outline,
    height: _height,
    openings,
    floor,
    ceiling,
    ...rest
  } = reading.room;
  const other =
    openings.length > 0 || floor !== 'Ground floor' || ceiling.shape !== 'flat' || Object.keys(rest).length > 0;
  return other
    ? { ok: false, reason: 'only boards can be said of the house: walls, ceiling, boards, framing, screws, butts, aim' }
    : { ok: true, hang };
}
